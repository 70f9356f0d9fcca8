import { opening } from "../booklet-view";

/** What was asked, at the front of a booklet: the purpose, and the need and the rules of the brief. */
export const BookletAsked = ({ purpose, brief }: { purpose: string; brief: string }) => (
  <section aria-labelledby="asked" className="mb-5">
    <h2 id="asked">What was asked</h2>
    <p>{purpose}</p>
    {opening(brief).map((s) => (
      <div key={s.title} className="mt-1">
        <h3 className="font-[650]">{s.title}</h3>
        <p className="whitespace-pre-line">{s.body.replace(/\*\*/g, "")}</p>
      </div>
    ))}
  </section>
);
