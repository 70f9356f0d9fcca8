import * as yup from "yup";
import { cutKind, cutWay, stockForm, stockMove } from "@/core/vocabulary/shop";
import * as c from "@/platform/schema/fields";
import * as q from "@/platform/schema/quantities";
import { readContents } from "./view/kits";

const amount = () =>
  yup
    .string()
    .trim()
    .default("")
    .matches(/^$|^\d+([.,]\d+)?$/, "Write a number, for example 12 or 2.5.");

const item = {
  name: c.text(120),
  form: c.oneOf(stockForm).required(),
  size: c.optionalText(60),
  price: amount(),
  place: c.optionalText(80),
  supplier: c.optionalText(80),
  low: amount(),
  donated: yup.boolean().default(false),
};

export const stockItem = yup.object({ id: c.id(), projectId: c.id(), ...item });

export const editStockItem = yup.object({ id: c.id(), version: c.version(), ...item });

/** What came or went; its id is made where it is pressed. */
export const moveStock = yup.object({
  id: c.id(),
  itemId: c.id(),
  kind: c.oneOf(stockMove).required(),
  amount: amount().required("Write how much."),
  teamId: c.optionalId(),
  note: c.optionalText(200),
});

/** Whether parts of builds were bought or are here. */
export const gotParts = yup.object({ partIds: c.ids(200).min(1), got: yup.boolean().required() });

const contents = () =>
  yup
    .string()
    .trim()
    .required()
    .max(2000)
    .test("contents", "", (v, x) => {
      const read = readContents(v ?? "");
      return read.ok || x.createError({ message: read.message });
    });

export const kit = yup.object({
  id: c.id(),
  projectId: c.id(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  contents: contents(),
});

export const handOutKit = yup.object({ id: c.id(), kitId: c.id(), teamId: c.id() });

export const countKit = yup.object({
  id: c.id(),
  version: c.version(),
  counted: yup.array(c.whole(0, 9999).required()).max(60).required(),
  note: c.optionalText(300),
});

const cuts = {
  title: c.text(80),
  kind: c.oneOf(cutKind).required(),
  way: c.oneOf(cutWay).required(),
  kerf: q.quantity("mm"),
  border: q.quantity("mm"),
  blanks: c.text(4000),
  pieces: c.text(12_000),
};

/** Pieces to be cut, as they were typed. */
export const cutList = yup.object({ id: c.id(), projectId: c.id(), teamId: c.optionalId(), ...cuts });

export const editCutList = yup.object({ id: c.id(), version: c.version(), ...cuts });
