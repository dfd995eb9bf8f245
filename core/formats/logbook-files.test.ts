/** The logbook as a page that opens for ever, as a table, and the days to look again as a calendar. */
import { describe, expect, test } from "@jest/globals";
import ICAL from "ical.js";
import Papa from "papaparse";
import type { PictureId } from "../catalogue/ids";
import { trialId } from "../catalogue/ids";
import type { RecordPicture } from "../logbook/record/record";
import { line, look, record, sealed, told } from "../../tests/reference/records";
import { writeIcs } from "./calendar-files";
import { writeLogbookCsv, writeStallCsv } from "./logbook-csv";
import { writeLogbookHtml } from "./logbook-html";

const picture = (n: number): RecordPicture => ({
  picture: `picture${n}` as PictureId,
  small: `small${n}` as PictureId,
  width: 40,
  height: 30,
  at: `2026-03-0${n}T10:00:00.000Z`,
  stage: n === 1 ? "before" : "after",
});
const EVIL = `<script>alert("x")</script> & 'quotes'`;
const records = [
  record({
    name: "Grey pebble",
    count: 3,
    work: [line({ title: "Base colour: Rain grey", colour: "#8b8f91" }), sealed("matt varnish")],
    paint: [{ name: "Rain grey", ml: 4.06, perMl: 0.5 }],
    looks: [{ ...look(370, "chipped"), zone: "top", note: "by the edge" }],
    moves: [{ id: "move00000001", on: "2026-03-20", kind: "sold", count: 2, to: "Ida", price: 9 }],
    mishaps: [{ at: "2026-03-08T10:00:00.000Z", kind: "tacky", zones: ["top"], title: "Base colour: Rain grey" }],
    pictures: [picture(1), picture(2)],
    money: { price: 9 },
  }),
  told({
    name: EVIL,
    body: "=1+1",
    told: { colours: EVIL, note: "on the step" },
    additions: [{ id: "added0000001", at: "2026-03-11T10:00:00.000Z", text: "more\nlines" }],
  }),
];
const bytes = (n: number) => new Uint8Array([0xff, 0xd8, 0xff, n]);
const pictures = new Map(["picture1", "small1", "picture2", "small2"].map((id, index) => [id as PictureId, bytes(index + 1)] as const));
const trials = [
  {
    id: trialId("trial0000001"),
    name: "Which yellows",
    begunOn: "2026-03-01",
    lies: "sill",
    spots: [
      { id: "spot00000001", what: "A", looks: [look(30, "fine")] },
      { id: "spot00000002", what: "B", looks: [look(30, "yellowed")] },
    ],
  },
];

describe("the page", () => {
  const html = writeLogbookHtml({ records, trials, pictures, unit: "mm", on: "2026-11-28", signature: "Ada <3" });

  test("has every piece, all that is told of it, and its trials", () => {
    for (const one of [
      "Grey pebble",
      "Rain grey",
      "two coats",
      "matt varnish",
      "4 ml",
      "was still tacky",
      "chipped, top. by the edge",
      "2 sold, Ida",
      "Which yellows",
      "on the step",
      "more\nlines",
    ])
      expect(html).toContain(one);
    expect(html).toContain("Logbook of Ada &lt;3");
    expect((html.match(/<article/g) ?? []).length).toBe(3);
  });

  test("runs nothing and fetches nothing; what anybody typed is text", () => {
    expect(html).not.toMatch(/<script|javascript:|\son\w+=|src="(?!data:)|href="(?!#)|@import|url\(/i);
    expect(html).toContain("&lt;script&gt;alert(&quot;x&quot;)&lt;/script&gt; &amp; &#39;quotes&#39;");
    expect(html).toContain("default-src 'none'");
  });

  test("its last photograph is whole, the others are small; one that is lost leaves no hole", () => {
    const shown = [...html.matchAll(/base64,([^"]+)"/g)].map(([, text]) => Buffer.from(text!, "base64")[3]);
    expect(shown).toEqual([2, 3]);
    expect(writeLogbookHtml({ records, trials: [], pictures: new Map(), unit: "mm", on: "2026-11-28", signature: "" })).not.toContain("<img");
  });

  test("large pictures are written whole", () => {
    const large = new Uint8Array(200_000).map((_zero, index) => index % 251);
    const one = writeLogbookHtml({
      records: [records[0]!],
      trials: [],
      pictures: new Map([["picture2" as PictureId, large]]),
      unit: "mm",
      on: "2026-11-28",
      signature: "",
    });
    expect(Buffer.from(/base64,([^"]+)"/.exec(one)![1]!, "base64").equals(Buffer.from(large))).toBe(true);
  });
});

describe("the table", () => {
  test("has a line each, with what one cost and where they are; nothing in it is worked out by a table program", () => {
    const { data } = Papa.parse<Record<string, string>>(writeLogbookCsv(records, { perHour: null, toolsEach: null, margin: null }, "mm"), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(2);
    expect(data[0]).toMatchObject({
      name: "Grey pebble",
      pieces: "3",
      here: "1",
      sold: "2",
      "cost of one": "0.68",
      price: "9",
      sealers: "matt varnish",
      "who has it": "Ida",
      colours: "grey",
    });
    expect(data[0]!.work).toBe("Base colour: Rain grey (top); one coat | Seal: matt varnish (top); two coats");
    expect(data[1]!.body).toBe("'=1+1");
  });

  test("of the stall it has what to take along, with a column to fill in", () => {
    const { data } = Papa.parse<Record<string, string>>(writeStallCsv(records), { header: true, skipEmptyLines: true });
    expect(data.map((row) => [row["to take along"], row.price, row["sold before"], row["brought in"], row["sold today"]])).toEqual([
      ["1", "", "0", "0", ""],
      ["1", "9", "2", "18", ""],
    ]);
  });
});

test("days to look again are whole days of a calendar that other programs read, each once", () => {
  const looks = [
    { record: "a", kind: "month", name: "Grey pebble, two rings", date: "2026-12-09" },
    { record: "a", kind: "year", name: "Grey pebble, two rings", date: "2027-11-09" },
  ];
  const events = new ICAL.Component(ICAL.parse(writeIcs({ sittings: [], waits: [], dues: [], looks })) as never)
    .getAllSubcomponents("vevent")
    .map((one) => new ICAL.Event(one));
  expect(events.map(({ summary, startDate, uid }) => [summary, startDate.toString(), startDate.isDate, uid])).toEqual([
    ["Look again: Grey pebble, two rings", "2026-12-09", true, "look/a/month@nook-coat"],
    ["Look again: Grey pebble, two rings", "2027-11-09", true, "look/a/year@nook-coat"],
  ]);
});
