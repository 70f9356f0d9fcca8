export const freeName = (wanted: string, used: Set<string>): string => {
  let name = wanted.slice(0, 54);
  for (let n = 2; used.has(name.toLowerCase()); n++) name = `${wanted.slice(0, 54)} ${n}`;
  used.add(name.toLowerCase());
  return name;
};
