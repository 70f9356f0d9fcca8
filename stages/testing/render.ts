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

/** Every text that a page is made of or hands on, as the server makes it: so also what it keeps from the eye only. */
export async function told(node: unknown, seen = new Set<unknown>()): Promise<string[]> {
  if (typeof node === "string") return [node];
  if (typeof node !== "object" || node === null || seen.has(node)) return [];
  if (isValidElement<object>(node) && isAsync(node.type)) return told(await node.type(node.props), seen);
  seen.add(node);
  const inside = isValidElement<object>(node)
    ? Object.values(node.props)
    : node instanceof Map
      ? [...node].flat()
      : Object.values(node);
  return (await Promise.all(inside.map((x) => told(x, seen)))).flat();
}
