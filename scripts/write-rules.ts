/** Writes docs/rules.md out of the rules themselves. */
import { writeFileSync } from "node:fs";
import { rulesAsMarkdown } from "../core/coating/rules/as-markdown";

writeFileSync(new URL("../docs/rules.md", import.meta.url), rulesAsMarkdown());
