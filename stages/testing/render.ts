// A server page as the server makes it: every async component of it resolved, so that all its reads happen.
import { isValidElement, type ReactNode } from "react";

const isAsync = (f: unknown): f is (props: object) => Promise<ReactNode> =>
  typeof f === "function" && f.constructor.name === "AsyncFunction";

/** Resolves a tree; gives how many async components it is made of. */
export async function settle(node: unknown): Promise<number> {
  if (Array.isArray(node)) return (await Promise.all(node.map(settle))).reduce((a, b) => a + b, 0);
  if (!isValidElement<object>(node)) return 0;
  if (isAsync(node.type)) return 1 + (await settle(await node.type(node.props)));
  return settle(Object.values(node.props));
}
