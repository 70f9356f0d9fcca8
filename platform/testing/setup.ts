import postgres from "postgres";
import { migrate } from "../db/migrate";

export default async function setup(): Promise<void> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("Database tests need DATABASE_URL; run them with ./ironstone test db");
  const admin = postgres(url, { onnotice: () => {} });
  // The class is made from the template by the first test that opens it.
  for (const name of ["ironstone_class", "ironstone_template"]) await admin.unsafe(`DROP DATABASE IF EXISTS ${name}`);
  await admin`CREATE DATABASE ironstone_template`;
  await admin.end();
  const template = new URL(url);
  template.pathname = "/ironstone_template";
  await migrate(template.toString());
}
