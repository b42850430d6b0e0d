// Checks the pages of src/knowledge and writes them as one JSON file that the program loads. `npm run knowledge`
import { compileKnowledge } from "./lib/compile-knowledge";

const issues = compileKnowledge();
for (const { message } of issues) console.error(message);
if (issues.length > 0) {
  console.error(
    `\n${issues.length} problem${issues.length === 1 ? "" : "s"} in the knowledge: nothing was written.`,
  );
  process.exit(1);
}
