/** Gives the reader a file of this page. */
export function saveText(text: string, type: string, name: string): void {
  const a = document.createElement("a");
  a.href = URL.createObjectURL(new Blob([text], { type }));
  a.download = name;
  a.click();
  URL.revokeObjectURL(a.href);
}

/** Gives the reader the drawing inside an element as an SVG file. */
export function saveSvg(inside: Element | null, name: string): void {
  const node = inside?.querySelector("svg");
  if (node) saveText(new XMLSerializer().serializeToString(node), "image/svg+xml", name);
}
