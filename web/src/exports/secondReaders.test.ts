/**
 * Files that go out are taken by programs of other hands, and what those write is taken here. The programs are Debian's;
 * `npm test` installs them, and where one is missing its tests are left out.
 */
import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Papa from "papaparse";
import { placeRows, readTrackFile, writeGpx, type TrackFile } from "@gepack/core";
import { beforeAll, describe, expect, test } from "vitest";
import { demo, demoTrack } from "../../test/plans.ts";
import { calendarOf } from "./calendar.ts";
import { xlsxOf, type Cell, type Sheet } from "./sheets.ts";
import { workbookOf } from "./workbook.ts";

const CONVERTER = "/usr/bin/gpsbabel";
const WORKBOOKS = "/usr/bin/xlsx2csv";
const PYTHON = "/usr/bin/python3";
const CALENDARS = "/usr/lib/python3/dist-packages/icalendar/__init__.py";

const folder = mkdtempSync(join(tmpdir(), "gepack-readers-"));
const at = (name: string): string => join(folder, name);
const MOST_BYTES = 1 << 28;
const said = (program: string, args: readonly string[]): string =>
  execFileSync(program, args, { encoding: "utf8", maxBuffer: MOST_BYTES });

let trip: ReturnType<typeof demo>;
beforeAll(() => {
  trip = demo();
});

describe.skipIf(!existsSync(CONVERTER))("a converter of tracks", () => {
  const converted = (form: string, name: string): TrackFile => {
    said(CONVERTER, ["-t", "-w", "-i", "gpx", "-f", at("out.gpx"), "-o", form, "-F", at(name)]);
    const { value, problems } = readTrackFile(readFileSync(at(name)), "t", name);
    expect(problems.filter(({ severity }) => severity === "error")).toEqual([]);
    return value!;
  };

  beforeAll(() => {
    writeFileSync(at("out.gpx"), writeGpx({ ...trip, tracks: [demoTrack()] }));
  });

  // A form of training records keeps no places.
  test.each([
    ["gpx", "back.gpx", true],
    ["kml", "back.kml", true],
    ["geojson", "back.geojson", true],
    ["gtrnctr", "back.tcx", false],
  ])(
    "takes our GPX, and what it writes of it as %s is the same trail with the same places",
    (form, name, hasPlaces) => {
      const { track, waypoints } = converted(form, name);
      const own = demoTrack();
      const [ownAt, theirAt] = [own.lonDeg.length - 1, track.lonDeg.length - 1];
      expect(theirAt).toBe(ownAt);
      for (const i of [0, 1, 999, ownAt >> 1, ownAt]) {
        expect(track.lonDeg[i]).toBeCloseTo(own.lonDeg[i]!, 5);
        expect(track.latDeg[i]).toBeCloseTo(own.latDeg[i]!, 5);
        if (!Number.isNaN(own.heightM[i])) expect(track.heightM[i]).toBeCloseTo(own.heightM[i]!, 0);
      }
      if (!hasPlaces) return;
      const names = new Set(waypoints.map((one) => one.name));
      for (const { kind, name: place } of placeRows(trip.plan, trip.result))
        if (kind === "stop") expect(names, place).toContain(place);
    },
  );
});

describe.skipIf(!existsSync(WORKBOOKS))("a reader of workbooks that works nothing out", () => {
  const figureOf = (cell: Cell): string | number | undefined =>
    typeof cell === "object" ? ("iso" in cell ? cell.iso : cell.value) : cell;

  test("has every sheet and every figure, of formulas too, and days as days", async () => {
    const sheets = workbookOf(trip.plan, trip.result);
    writeFileSync(at("book.xlsx"), Buffer.from(await (await xlsxOf(sheets)).arrayBuffer()));
    for (const [i, { name, heads, rows }] of sheets.entries()) {
      const text = said(WORKBOOKS, ["-s", String(i + 1), "-f", "%Y-%m-%d", at("book.xlsx")]);
      const [theirHeads, ...theirs] = Papa.parse<string[]>(text.trimEnd()).data;
      expect(theirHeads, name).toEqual(heads);
      expect(theirs, name).toHaveLength(rows.length);
      for (const [r, row] of rows.entries()) expectRow(name, theirs[r]!, row);
    }
  });

  function expectRow(name: Sheet["name"], theirs: readonly string[], row: readonly Cell[]): void {
    for (const [c, cell] of row.entries()) {
      const own = figureOf(cell);
      const where = `${name}, column ${c + 1}`;
      if (typeof own === "number") expect(Number(theirs[c]), where).toBeCloseTo(own, 6);
      else expect((theirs[c] ?? "").trim(), where).toBe((own ?? "").trim());
    }
  }
});

describe.skipIf(!existsSync(CALENDARS))("a reader of calendars", () => {
  const LIST = `import json, sys, icalendar
events = icalendar.Calendar.from_ical(open(sys.argv[1], "rb").read()).walk("VEVENT")
print(json.dumps([[str(e["UID"]), str(e["SUMMARY"]), str(e["DTSTART"].dt), str(e.get("DESCRIPTION", ""))] for e in events]))`;

  test("has every event once, whole days, with all that is said of them", () => {
    const { plan, result } = trip;
    const text = calendarOf(plan, result);
    writeFileSync(at("plan.ics"), text);
    const events = JSON.parse(said(PYTHON, ["-c", LIST, at("plan.ics")])) as string[][];
    expect(events).toHaveLength(text.match(/BEGIN:VEVENT/g)!.length);
    expect(new Set(events.map(([uid]) => uid)).size).toBe(events.length);
    for (const [, summary, date] of events) {
      expect(date).toMatch(/^2027-\d\d-\d\d$/);
      expect(summary).not.toBe("");
    }
    const days = events.filter(([, , , words]) => words!.startsWith("Day "));
    expect(days.map(([, , date]) => date).toSorted()).toEqual([...new Set(days.map(([, , date]) => date))].toSorted());
    const first = days.find(([, , date]) => date === plan.trip.startDate)!;
    expect(first[3]).toMatch(/^Day 1 of Corvane Traverse, leg 1: .+ A plan, not a promise\.$/);
  });
});
