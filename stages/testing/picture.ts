import sharp from "sharp";

/** A small plain picture, as a form sends it. */
export const picture = async (background = "#a86"): Promise<string> => {
  const plain = sharp({ create: { width: 40, height: 30, channels: 3, background } });
  return (await plain.jpeg().toBuffer()).toString("base64");
};
