/** Writes docs/rules.md and docs/durability.md out of the rules and the catalogue themselves. */
import { writeFileSync } from "node:fs";
import { CATALOGUE } from "../core/catalogue/catalogue";
import { durabilityAsMarkdown } from "../core/coating/explain/durability-page";
import { rulesAsMarkdown } from "../core/coating/rules/as-markdown";

writeFileSync(new URL("../docs/rules.md", import.meta.url), rulesAsMarkdown());
writeFileSync(new URL("../docs/durability.md", import.meta.url), durabilityAsMarkdown(CATALOGUE));
