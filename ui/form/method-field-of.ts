"use client";

import type { FieldValues } from "react-hook-form";
import type { AnySchema } from "yup";
import type { Of, Values } from "./fields-of";
import { MethodField } from "./method-field";

/** The choice between methods of a form whose values these are: apart, since few forms have one and it weighs more. */
export const methodFieldFor = <V extends FieldValues>() => MethodField as unknown as Of<typeof MethodField, V>;

/** The choice between methods of a form that sends what this schema describes. */
export const methodFieldOf = <S extends AnySchema>(_schema: S) => methodFieldFor<Values<S>>();
