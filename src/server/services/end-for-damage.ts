import { EXIT } from "@/server/db/folder";
import { dataFolder, shopDatabase } from "@/server/db/shop-database";

const ANSWER_MS = 200;

/**
 * The database met a damaged page of its own: whatever it says or writes from now on may be wrong. The request at hand is
 * answered, then the server ends. A PostgreSQL server is its own keeper's to mend.
 */
export function endForDamage(): void {
  void shopDatabase().then(({ engine }) => {
    if (engine === "server") return;
    const folder = dataFolder();
    console.error(
      `The database in ${folder} is damaged: stopping, so that nothing more is written to it. Move the folder postgres out of ${folder} and start again: it is built anew from the journal.`,
    );
    setTimeout(() => process.exit(EXIT.damaged), ANSWER_MS).unref();
  });
}
