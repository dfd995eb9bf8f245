/** Each store is defined once, and its definition fits the others. */
import { describe, expect, test } from "@jest/globals";
import Joi from "joi";
import { EVERY_STORE } from "../../../tests/reference/every-store";
import { CATALOGUE } from "../../catalogue/catalogue";
import { readBundle } from "../bundle";
import { fileOf, writeBundle } from "../write-bundle";
import { DEFINITIONS, STORE_NAMES, STORES } from "./stores";

describe.each(DEFINITIONS)("the store $name", (definition) => {
  const before = STORE_NAMES.slice(0, STORE_NAMES.indexOf(definition.name as never));

  test("stands under its own name, after the one it belongs to", () => {
    expect(STORES[definition.name as keyof typeof STORES]).toBe(definition);
    if (definition.owner) expect(before).toContain(definition.owner.store);
  });

  test("finds what belongs to a record over an index", () => {
    if (definition.owner) expect(Object.values(definition.indexes)).toContain(definition.owner.field);
  });

  test("names only stores that there are", () => {
    for (const store of Object.values(definition.refers ?? {})) expect(STORE_NAMES).toContain(store);
  });

  test("has a word for every field, for where two copies say different things", () => {
    const described = Object.keys((definition.schema(Joi).describe() as { keys: object }).keys).filter((key) => !["id", "rev"].includes(key));
    expect(
      Object.keys(definition.says)
        .filter((key) => !key.includes("."))
        .sort(),
    ).toEqual(described.sort());
  });

  test("takes no record without id and count, and no word it does not know", () => {
    const fault = (record: object) => definition.schema(Joi).validate(record, { convert: false }).error?.message ?? "";
    expect(fault({})).toMatch(/required/);
    expect(fault({ id: "aaaaaaaa1", rev: 0 })).not.toBe("");
    const described = Object.keys((definition.schema(Joi).describe() as { keys: object }).keys);
    expect(described).toEqual(expect.arrayContaining(["id", "rev", ...definition.lists, ...Object.keys(definition.refers ?? {})]));
  });
});

test("the notebook from which everything is asked of every store and every field has all of them, and is sound", () => {
  for (const { name, schema } of DEFINITIONS) {
    const said = Object.keys(Object.assign({}, ...(EVERY_STORE[name as never] as object[])) as object).sort();
    expect([name, said]).toEqual([name, Object.keys((schema(Joi).describe() as { keys: object }).keys).sort()]);
  }
  const read = readBundle(JSON.stringify(fileOf(writeBundle(EVERY_STORE))), CATALOGUE);
  expect(read.ok && read.value.aside.map(({ problem }) => problem)).toEqual([]);
});
