import { expect, test } from "@jest/globals";
import { soonerText } from "./sooner";

test("what a change of the room buys, in words; where nothing dried, that it does then", () => {
  const room = { temperatureC: 22, relativeHumidity: 0.4, airflow: "still" } as const;
  const takes = { typicalMin: 60, cautiousMin: 90 };
  expect(soonerText({ remedy: "warmer", room, takes, saves: { typicalMin: 120, cautiousMin: 240 } })).toBe(
    "Warm the room to 22 °C: the wait falls to 60–90 min, about 2 hours less.",
  );
  expect(soonerText({ remedy: "drier", room: { ...room, relativeHumidity: 0.5 }, takes, saves: null })).toBe(
    "Dry the air to 50 %: then it dries, in 60–90 min.",
  );
});
