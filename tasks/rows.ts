// Writes the row types of the database's tables.
import { writeFileSync } from "node:fs";
import { closeDb } from "@/platform/db/db";
import { rowsSource } from "@/platform/db/rows-source";

rowsSource()
  .then((text) => writeFileSync(process.argv[2]!, text))
  .catch((error) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(closeDb);
