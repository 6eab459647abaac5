/** TCX 2: trackpoints of activities or courses, in the file's order; course points become waypoints. */
import { Collected, type TrackReader } from "./collect.ts";
import { coordinate, readerOf } from "./gpx.ts";
import { localName, XmlReader } from "./xml.ts";

const MAX_TEXT = 1000;
const MAX_NAME = 200;
const TEXTS = ["LatitudeDegrees", "LongitudeDegrees", "AltitudeMeters", "Name", "PointType", "Notes"];

export function tcxReader(trackId: string, fileName: string, keepTimes = false): TrackReader {
  let title = "";
  let at: { kind: "Trackpoint" | "CoursePoint"; line: number } | undefined;
  let lonDeg = NaN;
  let latDeg = NaN;
  let heightM = NaN;
  let words = { name: "", symbol: "", type: "", description: "" };
  let wants = false;
  let text = "";

  const takeText = (name: string, value: string): void => {
    if (name === "Time") found.time(value);
    else if (name === "LatitudeDegrees") latDeg = coordinate(value);
    else if (name === "LongitudeDegrees") lonDeg = coordinate(value);
    else if (name === "AltitudeMeters") heightM = found.height(value);
    else if (name === "Name" && at?.kind === "CoursePoint") words.name = value.slice(0, MAX_NAME);
    else if (name === "Name") {
      if (title === "") title = value.slice(0, MAX_NAME);
      found.namePart({ name: value.slice(0, MAX_NAME) });
    } else if (name === "PointType") words.type = value.slice(0, MAX_NAME);
    else if (name === "Notes") words.description = value;
  };
  const xml = new XmlReader(
    { name: "TCX", versions: "TCX", root: "TrainingCenterDatabase" },
    {
      open: (tag) => {
        const name = localName(tag.name);
        if (name === "Course" || name === "Activity") found.beginPart();
        else if (name === "Track") found.tracks.openSegment();
        else if (name === "Trackpoint" || name === "CoursePoint") {
          at = { kind: name, line: xml.line };
          [lonDeg, latDeg, heightM] = [NaN, NaN, NaN];
          words = { name: "", symbol: "", type: "", description: "" };
        } else if (TEXTS.includes(name) || (name === "Time" && at && found.wantsTime)) {
          wants = true;
          text = "";
        }
      },
      text: (chunk) => {
        if (wants && text.length < MAX_TEXT) text += chunk;
      },
      close: (tag) => {
        const name = localName(tag.name);
        if (wants) {
          wants = false;
          takeText(name, text.trim());
        } else if (at?.kind === name) {
          // A trackpoint without a position is a heart beat, not a fault.
          if (name === "Trackpoint") {
            if (!Number.isNaN(lonDeg) || !Number.isNaN(latDeg))
              found.point(found.tracks, lonDeg, latDeg, heightM, at.line);
          } else found.waypoint(lonDeg, latDeg, words, at.line);
          at = undefined;
        }
      },
    },
  );
  const found = new Collected((sentence) => xml.fail(sentence), "line", keepTimes);
  return readerOf(xml, found, trackId, () => title || fileName);
}
