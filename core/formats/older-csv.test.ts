/** Older notes out of a table: columns by the user's choice, days as people write them, faults by line and column, nothing by halves. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import joi from "joi";
import { checkShape } from "./check-shape";
import { guessColumns, OLDER_FIELDS, readOlderDay, readOlderPieces, readOlderTable } from "./older-csv";
import type { OlderColumns, OlderField } from "./older-csv";
import { toldFields } from "./stores/records";

const table = (text: string) => {
  const read = readOlderTable(text);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};
const pieces = (text: string, columns?: OlderColumns) => {
  const of = table(text);
  return readOlderPieces(of, columns ?? guessColumns(of.headers), "day-first");
};

describe("a day", () => {
  test.each([
    ["2024-03-09", "2024-03-09", false],
    ["2024-03", "2024-03-01", true],
    ["9.3.2024", "2024-03-09", false],
    ["9/3/24", "2024-03-09", false],
    ["9. 3. 2024", "2024-03-09", false],
    ["3/25/2024", "2024-03-25", false],
    ["9 March 2024", "2024-03-09", false],
    ["March 9th, 2024", "2024-03-09", false],
    ["Mar 2024", "2024-03-01", true],
    ["2024/3/9", "2024-03-09", false],
  ])("%s is %s", (text, day, onlyMonth) => expect(readOlderDay(text, "day-first")).toEqual({ day, onlyMonth }));
  test("of which the order cannot be told is read as the user says", () => expect(readOlderDay("9/3/2024", "month-first")!.day).toBe("2024-09-03"));
  test.each(["", "last summer", "31.2.2024", "2024-13-01", "1850-01-01", "Foo 2024", "32 March 2024"])("“%s” is none", (text) =>
    expect(readOlderDay(text, "day-first")).toBeNull(),
  );
});

describe("a table", () => {
  const TEXT = 'Title;Made of;Date;Varnish;Given to;Remarks;Weather\nGull;Slate;9.3.2019;"spray; gloss";Marn;;fair\n"Two\nlines";;March 2020;;;"=1+1";\n';

  test("guesses what each column is, each once; what is not known stays out", () => {
    expect(guessColumns(["Title", "Made of", "Date", "Varnish", "Given to", "Remarks", "Weather", "Name"])).toEqual([
      "name",
      "body",
      "finished",
      "sealer",
      "who",
      "note",
      null,
      null,
    ]);
  });

  test("gives its pieces: what is not said is not made up, of a month alone the note says so", () => {
    const read = pieces(TEXT);
    expect(read).toMatchObject({
      ok: true,
      value: [
        { name: "Gull", body: "Slate", count: 1, finishedOn: "2019-03-09", who: "Marn", told: { sealer: "spray; gloss" } },
        { name: "Two\nlines", body: "Not said", finishedOn: "2020-03-01", told: { note: "=1+1 Finished some time in March 2020." } },
      ],
    });
    expect(read.ok && "who" in read.value[1]!).toBe(false);
  });

  test("is read by the columns the user has chosen, whatever they are called", () => {
    const columns: OlderColumns = [null, "name", null, null, null, null, "colours"];
    expect(pieces("a,b,c,d,e,f,g\n1,Gull,3,4,5,6,grey\n", columns)).toMatchObject({ ok: true, value: [{ name: "Gull", told: { colours: "grey" } }] });
    expect(pieces("a,b\n1,2\n")).toMatchObject({ ok: false, problem: { message: "say which column has the name of the piece" } });
  });

  test.each<[string, string, string]>([
    ["name,date\nGull,someday\n", 'line 2, column "date"', "is no day"],
    ["name,count\nGull,2\nTern,many\n", 'line 3, column "count"', "is no number of pieces"],
    ["name,note\n,hello\n", 'line 2, column "name"', "needs a name"],
    // The line is that of the file, whatever runs over several lines or is empty before it.
    ['name,count\n"Two\nlines",1\n\n\nTern,many\n', 'line 6, column "count"', "is no number of pieces"],
    [`name\n${"x".repeat(200)}\n`, 'line 2, column "name"', "longer"],
  ])("names the first fault of %j", (text, path, why) =>
    expect(pieces(text)).toMatchObject({ ok: false, problem: { path, message: expect.stringContaining(why) } }),
  );

  test.each(["", "name\n", '"open\nname'])("%j is none", (text) => expect(readOlderTable(text).ok).toBe(false));

  test("whatever stands in it, what comes out fits the logbook, and nothing throws", () => {
    const schema = joi.object({ ...toldFields(joi), who: joi.string() });
    const cell = fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom("Gull", "3", "9.3.2020", "2020", "'=SUM(A1)"));
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 6 }),
        fc.shuffledSubarray([...OLDER_FIELDS], { minLength: 3, maxLength: 3 }),
        (rows, fields) => {
          const read = readOlderPieces(
            { headers: ["a", "b", "c"], rows: rows.map((cells, index) => ({ line: index + 2, cells })) },
            fields as readonly OlderField[],
            "day-first",
          );
          if (!read.ok) return expect(read.problem.message.length).toBeGreaterThan(5);
          for (const piece of read.value) {
            const shape = checkShape(schema, piece);
            expect(shape.ok ? null : shape.problem).toBeNull();
          }
          return undefined;
        },
      ),
      { numRuns: 300, seed: 4 },
    );
  });
});
