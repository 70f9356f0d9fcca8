import ReactMarkdown from "react-markdown";
import remarkGfm from "remark-gfm";

/** Markdown as typed by people: no raw HTML, no pictures from elsewhere, headings below the page's own. */
export function Markdown({ children }: { children: string }) {
  return (
    <ReactMarkdown
      remarkPlugins={[remarkGfm]}
      disallowedElements={["img"]}
      components={{
        h1: ({ children: c }) => <h2>{c}</h2>,
        a: ({ children: c, href }) => (
          <a href={href} rel="noreferrer noopener" className="underline">
            {c}
          </a>
        ),
      }}
    >
      {children}
    </ReactMarkdown>
  );
}
