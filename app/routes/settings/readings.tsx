import { useState } from "react";
import type { ApexOptions } from "apexcharts";
import { format } from "date-fns";
import { FileUp, Thermometer } from "lucide-react";
import { roomOfReadings, roomTaken, thinned } from "#core/drying/readings";
import type { Reading, RoomOfReadings } from "#core/drying/readings";
import { MADE_UP_ROOM, simulatedThermohygrometer } from "#core/drying/simulated-thermohygrometer";
import type { Room } from "#core/piece/piece";
import { sayDuration } from "#core/units/duration";
import { Chart } from "~/components/chart";
import { FileButton } from "~/components/file-button";
import { timeZoneHere } from "~/components/time-zone";
import { useWidth } from "~/components/use-width";

interface Measured {
  readonly from: string;
  readonly readings: readonly Reading[];
  readonly room: RoomOfReadings;
}

const MS_PER_HOUR = 3_600_000;
/** Days the made-up one has stood there, and how often it was read. */
const MADE_UP_HOURS = 72;
const READ_EACH_MS = MS_PER_HOUR / 4;
/** Points of the chart, at most: each is the mean of its stretch. */
const MOST_POINTS = 72;
/** From here on there is room for more than three times under the chart, px. */
const WIDE_PX = 480;
/** A time without a reading that is told, minutes. */
const TOLD_GAP_MIN = 120;
const percent = (share: number) => Math.round(share * 100);
const degrees = (celsius: number) => Math.round(celsius * 2) / 2;
const sayAir = ({ temperatureC, relativeHumidity }: Pick<Room, "temperatureC" | "relativeHumidity">) =>
  `${degrees(temperatureC)} °C, ${percent(relativeHumidity)} %`;
const hourOf = (instant: number) => new Date(instant).getHours();

async function madeUp(now: number): Promise<readonly Reading[]> {
  const start = now - MADE_UP_HOURS * MS_PER_HOUR;
  const meter = simulatedThermohygrometer(1, start, { ...MADE_UP_ROOM, hourOf });
  const all: (Reading | null)[] = [];
  for (let at = start; at <= now; at += READ_EACH_MS) all.push(await meter.read(at));
  return all.flatMap((one) => one ?? []);
}

/** A room from what a thermo-hygrometer has read in it. */
export function Readings({ known, add }: { known: readonly string[]; add: (name: string, room: Room) => void }) {
  const [measured, setMeasured] = useState<Measured | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const show = (from: string, readings: readonly Reading[]) => {
    setWrong(null);
    setMeasured({ from, readings, room: roomOfReadings(readings, hourOf) });
  };
  const take = async (file: File) => {
    const { readReadingsCsv } = await import("#core/formats/readings-csv");
    const read = readReadingsCsv(await file.text(), timeZoneHere());
    if (read.ok) return show(file.name, read.value);
    setMeasured(null);
    setWrong(`${read.problem.path}: ${read.problem.message}.`);
  };
  return (
    <details className="mt-4">
      <summary className="w-fit py-2 underline">A room from the readings of a thermo-hygrometer</summary>
      <div className="mt-2 grid gap-3">
        <p>
          A table with the columns <em>time</em>, <em>temperature</em> (°C) and <em>humidity</em> (%): 2026-11-30 19:05, 12.5, 75.
        </p>
        <p className="flex flex-wrap gap-2">
          <FileButton icon={FileUp} label="File of readings" accept=".csv,.txt,text/csv" take={(file) => void take(file)}>
            Read a file of readings
          </FileButton>
          <button type="button" className="button" onClick={() => void madeUp(Date.now()).then((readings) => show("made up", readings))}>
            <Thermometer aria-hidden size={18} /> Try it with a made-up one
          </button>
        </p>
        {wrong && (
          <p role="alert" className="font-semibold text-stop">
            {wrong}
          </p>
        )}
        {measured && <Told key={measured.from} measured={measured} known={known} add={add} />}
      </div>
    </details>
  );
}

function Told({ measured: { from, readings, room }, known, add }: { measured: Measured } & Parameters<typeof Readings>[0]) {
  const [name, setName] = useState(from === "made up" ? "A made-up back room" : from.replace(/\.[a-z]+$/i, ""));
  const isTaken = known.some((one) => one.trim().toLowerCase() === name.trim().toLowerCase());
  const taken = roomTaken(room);
  return (
    <>
      <p>
        {room.day && <>By day {sayAir(room.day)}; </>}
        {room.night && <>by night {sayAir(room.night)}; </>}
        coldest {degrees(room.coldestC)} °C, dampest {percent(room.dampest)} %. On the whole things dry there as in a steady{" "}
        <strong>{sayAir(room.steady)}</strong>.
        {taken.night && " Taken as a room it has its days and its nights: a coat laid at night waits longer than one laid in the morning."}
        {room.stalled > 0 && ` For ${percent(room.stalled)} % of the time nothing waterborne dries at all.`}
        {room.longestGapMin > TOLD_GAP_MIN && ` For ${sayDuration(room.longestGapMin)} there is no reading.`}
      </p>
      <Course readings={readings} />
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block">Call it</span>
          <input className="field" maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <button type="button" className="button" disabled={name.trim() === "" || isTaken} onClick={() => add(name.trim(), taken)}>
          Take it as a room
        </button>
        {isTaken && <span className="text-soft">There is a room of that name.</span>}
      </div>
    </>
  );
}

function Course({ readings }: { readings: readonly Reading[] }) {
  const points = thinned(readings, MOST_POINTS);
  const [place, width] = useWidth<HTMLDivElement>(WIDE_PX);
  const axis = (title: string, opposite: boolean) => ({
    title: { text: title },
    opposite,
    labels: { formatter: (value: number) => String(Math.round(value)) },
  });
  const options: ApexOptions = {
    colors: ["var(--act)", "var(--soft)"],
    stroke: { width: [3, 2], curve: "straight", dashArray: [0, 5] },
    xaxis: {
      categories: points.map(({ at }) => format(at, "EEE HH:mm")),
      tickAmount: width < WIDE_PX ? 2 : 5,
      labels: { rotate: 0, hideOverlappingLabels: true },
    },
    yaxis: [axis("°C", false), axis("damp, %", true)],
    legend: { position: "top", horizontalAlign: "left" },
  };
  const [first, last] = [points[0]!, points.at(-1)!];
  return (
    <div ref={place}>
      <Chart
        type="line"
        height={240}
        options={options}
        series={[
          { name: "temperature", data: points.map(({ temperatureC }) => Math.round(temperatureC * 10) / 10) },
          { name: "damp", data: points.map(({ relativeHumidity }) => percent(relativeHumidity)) },
        ]}
        says={`Temperature and dampness from ${format(first.at, "EEEE HH:mm")} to ${format(last.at, "EEEE HH:mm")}.`}
      />
    </div>
  );
}
