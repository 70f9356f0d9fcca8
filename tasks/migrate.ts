import { migrate } from "@/platform/db/migrate";

migrate(process.env.DATABASE_URL!).then((names) => {
  for (const n of names) console.log(`  ${n}`);
});
