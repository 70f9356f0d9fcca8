"use client";

import type { ComponentType } from "react";
import type { FieldPath, FieldValues } from "react-hook-form";
import type { AnySchema, InferType } from "yup";
import { ChoiceField } from "./choice-field";
import { CheckField, SelectField, TextArea, TextField } from "./fields";
import { QuantityField } from "./quantity-field";

const fields = { TextField, TextArea, SelectField, CheckField, ChoiceField, QuantityField };
type Fields = typeof fields;

/** The same field, whose name has to be one of a form's values. */
export type Of<F, V extends FieldValues> =
  F extends ComponentType<infer P>
    ? P extends { name: string }
      ? ComponentType<Omit<P, "name"> & { name: FieldPath<V> }>
      : F
    : never;
type FieldsOf<V extends FieldValues> = { [K in keyof Fields]: Of<Fields[K], V> };

/** The fields of a form whose values these are: a name that is none of theirs does not compile. */
export const fieldsFor = <V extends FieldValues>(): FieldsOf<V> => fields as unknown as FieldsOf<V>;

/** What a form of this schema sends. */
export type Values<S extends AnySchema> = InferType<S> extends FieldValues ? InferType<S> : never;

/** The fields of a form that sends what this schema describes. */
export const fieldsOf = <S extends AnySchema>(_schema: S): FieldsOf<Values<S>> => fieldsFor<Values<S>>();
