const pieces = [
  ..."0123456789eE.,;:'\"′″×*/\\^°±–−-+()[]{}<>|=_ \t\r\n\0\u200b\u2028\u202eéß漢🪣",
  "1e400",
  "--",
  "\r\n",
  "> > > ",
  "BYDAY=53MO",
  "DTSTART:",
  "toString(",
  "[1,2]",
  "=HYPERLINK(",
  "‮",
];

/** How long a text may grow: more than any field takes. */
const longest = 20_000;

/**
 * A text like one of the samples and wrong somewhere: cut, spliced with another, or with letters put in, taken out,
 * swapped or repeated. The same random source gives the same text.
 */
export function mutate(samples: readonly string[], random: () => number): string {
  const whole = (n: number) => Math.floor(random() * n);
  const one = <T>(list: readonly T[]) => list[whole(list.length)]!;
  let text = one(samples);
  for (let n = 1 + whole(6); n > 0; n--) {
    const [a, b] = [whole(text.length + 1), whole(text.length + 1)].sort((x, y) => x - y) as [number, number];
    const slice = text.slice(a, b);
    switch (whole(6)) {
      case 0:
        text = text.slice(0, a) + one(pieces) + text.slice(a);
        break;
      case 1:
        text = text.slice(0, a) + text.slice(b);
        break;
      case 2:
        text = text.slice(0, b) + one(samples).slice(whole(40)) + text.slice(b);
        break;
      case 3:
        text = text.slice(0, a) + slice.repeat(1 + whole(slice.length < 12 ? 400 : 6)) + text.slice(b);
        break;
      case 4:
        text = text.slice(0, a) + [...slice].reverse().join("") + text.slice(b);
        break;
      default:
        text = text.slice(0, a) + one(pieces).repeat(1 + whole(300)) + text.slice(a);
    }
    text = text.slice(0, longest);
  }
  return text;
}

/** The same for bytes: some are changed, put in or taken out. */
export function mutateBytes(sample: Uint8Array, random: () => number): Uint8Array {
  const whole = (n: number) => Math.floor(random() * n);
  let bytes = Uint8Array.from(sample);
  for (let n = 1 + whole(8); n > 0; n--) {
    const at = whole(bytes.length);
    if (random() < 0.7) bytes[at] = whole(256);
    else if (random() < 0.5) bytes = Uint8Array.from([...bytes.slice(0, at), ...bytes.slice(at + 1 + whole(64))]);
    else bytes = bytes.slice(0, at);
    if (bytes.length === 0) return bytes;
  }
  return bytes;
}
