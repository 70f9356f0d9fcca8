import postgres from "postgres";
import { migrate } from "../db/migrate";

export default async function setup(): Promise<void> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("Database tests need DATABASE_URL; run them with ./ironstone test db");
  const admin = postgres(url, { onnotice: () => {} });
  await admin`DROP DATABASE IF EXISTS ironstone_template`;
  await admin`CREATE DATABASE ironstone_template`;
  await admin.end();
  const template = new URL(url);
  template.pathname = "/ironstone_template";
  await migrate(template.toString());
}
