import { sayStanding } from "../../catalogue/provenance";
import type { Rule } from "./rule";
import { RULES } from "./rules";

function row(rule: Rule): string {
  const cell = (text: string) => text.replace(/\|/g, "\\|").replace(/\{(\w+)\}/g, "…");
  return `| \`${rule.code}\` | ${rule.severity} | ${cell(rule.when)} | ${cell(rule.why)} | ${cell(rule.fix)} | ${cell(sayStanding(rule.provenance))} |`;
}

/** Every rule as a page to argue with: when it fires, why, what helps, and where it comes from. */
export function rulesAsMarkdown(rules: readonly Rule[] = RULES): string {
  const headings = [...new Set(rules.map((rule) => rule.heading))];
  const parts = headings.map((heading) => {
    const own = rules.filter((rule) => rule.heading === heading);
    return [`## ${heading}`, "", "| code | gravity | when | why | what helps | standing |", "| --- | --- | --- | --- | --- | --- |", ...own.map(row), ""].join(
      "\n",
    );
  });
  return [
    "# The rules",
    "",
    `Written out of the code by \`npm run rules\`; ${rules.length} rules. A gravity may rise or fall with the use. None replaces the label of your product, local rules or a professional.`,
    "",
    ...parts,
  ].join("\n");
}
