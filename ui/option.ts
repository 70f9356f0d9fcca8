"use client";

export type Choice = { value: string; label: string };

export type Option = { value: string; label: string };
