import ReactMarkdown from "react-markdown";
import remarkGfm from "remark-gfm";
import { brief, type Parser, parsers } from "@/stages/testing/fuzz/parsers";

/** All that read text; Markdown's reader does not run under the test runner. */
export const textParsers: readonly Parser[] = [
  ...parsers,
  {
    name: "Markdown",
    samples: [brief, `${"> ".repeat(60)}deep`, "[a](b) ![c](d) `e` ~~f~~ www.example.org"],
    read: (children) => ReactMarkdown({ children: children.slice(0, 8000), remarkPlugins: [remarkGfm] }),
  },
];
