/** Samples of one channel as two lists. */
export interface Block {
  readonly t: Float64Array;
  readonly v: Float64Array;
}

/** Times and values in turn, as little-endian doubles in base64: what a block is sent and kept as. */
export function packed(t: ArrayLike<number>, v: ArrayLike<number>, from = 0, to = t.length): string {
  const bytes = new Uint8Array((to - from) * 16);
  const view = new DataView(bytes.buffer);
  for (let i = from; i < to; i++) {
    view.setFloat64((i - from) * 16, t[i]!, true);
    view.setFloat64((i - from) * 16 + 8, v[i]!, true);
  }
  let text = "";
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}

/** A packed block as numbers; null where it is none. */
export function unpacked(base64: string): Block | null {
  let text: string;
  try {
    text = atob(base64);
  } catch {
    return null;
  }
  if (text.length === 0 || text.length % 16) return null;
  const bytes = new Uint8Array(text.length);
  for (let i = 0; i < text.length; i++) bytes[i] = text.charCodeAt(i);
  const view = new DataView(bytes.buffer);
  const n = text.length / 16;
  const [t, v] = [new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i++) {
    t[i] = view.getFloat64(i * 16, true);
    v[i] = view.getFloat64(i * 16 + 8, true);
  }
  return { t, v };
}

/** Blocks one behind the other, as one list. */
export function joinedBlocks(blocks: readonly Block[]): Block {
  const n = blocks.reduce((s, b) => s + b.t.length, 0);
  const [t, v] = [new Float64Array(n), new Float64Array(n)];
  let at = 0;
  for (const b of blocks) {
    t.set(b.t, at);
    v.set(b.v, at);
    at += b.t.length;
  }
  return { t, v };
}

/** What is wrong with a block that comes after a time, in words; null when it can be kept. */
export function wrongBlock(block: Block | null, after: number): string | null {
  if (!block) return "A block of samples arrived broken. Send the series again.";
  let last = after;
  for (let i = 0; i < block.t.length; i++) {
    const [t, v] = [block.t[i]!, block.v[i]!];
    if (!Number.isFinite(t) || !Number.isFinite(v) || Math.abs(t) > 1e9 || Math.abs(v) > 1e15)
      return `A sample is not a number that an instrument gives (${t} s, ${v}).`;
    if (t <= last) return `The times of a series rise: ${t} s does not come after ${last} s.`;
    last = t;
  }
  return null;
}

/** Its extent: what a curve that is drawn small needs of it. */
export function extentOf(block: Block): { n: number; fromT: number; toT: number; low: number; high: number } {
  let [low, high] = [block.v[0]!, block.v[0]!];
  for (const v of block.v) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  return { n: block.t.length, fromT: block.t[0]!, toT: block.t.at(-1)!, low, high };
}

/** Whether an open block of a live series is full: by its samples, or by how long it lasts. */
export function isFull(n: number, seconds: number): boolean {
  return n >= 1000 || (n >= 200 && seconds >= 5) || seconds >= 60;
}

/** A list of samples that grows at its end. */
export class Growing {
  #t = new Float64Array(1024);
  #v = new Float64Array(1024);
  n = 0;

  add(t: number, v: number): void {
    if (this.n === this.#t.length) {
      const [t2, v2] = [new Float64Array(this.n * 2), new Float64Array(this.n * 2)];
      t2.set(this.#t);
      v2.set(this.#v);
      [this.#t, this.#v] = [t2, v2];
    }
    this.#t[this.n] = t;
    this.#v[this.n++] = v;
  }

  /** Its samples from a position on: a view, not a copy. */
  samples(from = 0): Block {
    return { t: this.#t.subarray(from, this.n), v: this.#v.subarray(from, this.n) };
  }
}
