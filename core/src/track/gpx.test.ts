import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { gpxReader, readGpx } from "./gpx.ts";

const GPX = (body: string): string =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${body}</gpx>`;
const POINTS = '<trkpt lat="40" lon="-150"><ele>10</ele></trkpt><trkpt lat="40.001" lon="-150"><ele>12.5</ele></trkpt>';
const TRACK = GPX(`<trk><name>A walk</name><trkseg>${POINTS}</trkseg></trk>`);

describe("what is read", () => {
  test("points, heights, the track's name", () => {
    const { value, problems } = readGpx(TRACK);
    expect(problems).toEqual([]);
    expect(value!.track.name).toBe("A walk");
    expect([...value!.track.latDeg]).toEqual([40, 40.001]);
    expect([...value!.track.heightM]).toEqual([10, 12.5]);
    expect(value!.from).toBe("track");
  });

  test("several tracks and segments become one run with segment starts; empty segments leave no trace", () => {
    const { value } = readGpx(
      GPX(`<trk><trkseg>${POINTS}</trkseg><trkseg></trkseg></trk><trk><trkseg>${POINTS}</trkseg></trk>`),
    );
    expect(value!.track.lonDeg.length).toBe(4);
    expect([...value!.track.segmentStarts]).toEqual([0, 2]);
  });

  test("a route stands in when there is no track", () => {
    const { value } = readGpx(GPX('<rte><rtept lat="1" lon="2"/><rtept lat="1.1" lon="2"/></rte>'));
    expect(value!.from).toBe("route");
    expect([...value!.track.latDeg]).toEqual([1, 1.1]);
  });

  test("a track goes before a route", () => {
    const { value } = readGpx(
      GPX(`<rte><rtept lat="1" lon="2"/><rtept lat="1.1" lon="2"/></rte><trk><trkseg>${POINTS}</trkseg></trk>`),
    );
    expect(value!.from).toBe("track");
  });

  test("GPX 1.0, namespace prefixes, CDATA, comments and a byte-order mark", () => {
    const text =
      '\uFEFF<?xml version="1.0"?><g:gpx version="1.0" xmlns:g="x"><!-- c --><g:trk><g:name><![CDATA[A & B]]></g:name><g:trkseg><g:trkpt lat="1" lon="2"><g:ele>5</g:ele></g:trkpt><g:trkpt lat="1.1" lon="2"/></g:trkseg></g:trk></g:gpx>';
    const { value } = readGpx(text);
    expect(value!.track.name).toBe("A & B");
    expect(value!.track.heightM[1]).toBeNaN();
  });

  test("waypoints with name and their own words", () => {
    const { value } = readGpx(
      GPX(`<wpt lat="40" lon="-150"><name>Spring</name><type>water</type></wpt><trk><trkseg>${POINTS}</trkseg></trk>`),
    );
    expect(value!.waypoints).toEqual([
      { name: "Spring", lonDeg: -150, latDeg: 40, symbol: "", type: "water", description: "" },
    ]);
  });

  test("wherever the text is cut into chunks, the answer is the same", () => {
    const whole = readGpx(TRACK);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: TRACK.length }), { maxLength: 6 }), (cuts) => {
        const reader = gpxReader("track", "track");
        const at = [0, ...cuts.sort((a, b) => a - b), TRACK.length];
        for (let i = 0; i + 1 < at.length; i++) reader.write(TRACK.slice(at[i], at[i + 1]));
        expect(reader.close()).toEqual(whole);
      }),
    );
  });
});

describe("namespaces", () => {
  const track = (inside: string): string => GPX(`<trk><trkseg>${POINTS}${inside}</trkseg></trk>`);
  const foreign = '<trkpt xmlns="urn:other" lat="1" lon="1"><ele>9</ele></trkpt>';

  test.each([
    ["a point of another namespace", foreign, 2],
    ["one inside a point of ours", `<trkpt lat="40.002" lon="-150">${foreign}<ele>7</ele></trkpt>`, 3],
    ["one with a prefix that nothing declares", '<x:trkpt lat="1" lon="1"/>', 2],
    ["one inside an extension", `<extensions><x:a xmlns:x="urn:other"><trkpt lat="1" lon="1"/></x:a></extensions>`, 2],
    ["one of ours after a foreign one", `${foreign}<trkpt lat="40.002" lon="-150"><ele>7</ele></trkpt>`, 3],
    [
      "one of ours with a prefix of its own",
      '<g:trkpt xmlns:g="http://www.topografix.com/GPX/1/1" lat="40.002" lon="-150"/>',
      3,
    ],
  ])("%s", (_, inside, points) => {
    const { track: found } = readGpx(track(inside)).value!;
    expect(found.latDeg.length).toBe(points);
    expect([...found.latDeg].every((latDeg) => latDeg >= 40)).toBe(true);
    if (inside.includes("<ele>7")) expect(found.heightM[2]).toBe(7);
  });

  test("names and heights of other namespaces are not the file's", () => {
    const point = `<trkpt lat="40.002" lon="-150"><ele>7</ele><x:ele>2000</x:ele></trkpt>`;
    const { value } = readGpx(
      `<gpx xmlns:x="urn:other"><trk><x:name>Other</x:name><name>Ours</name><trkseg>${POINTS}${point}</trkseg></trk></gpx>`,
    );
    expect(value!.track.name).toBe("Ours");
    expect(value!.track.heightM[2]).toBe(7);
  });

  test("a root without namespace may hold elements that have GPX’s", () => {
    const { value } = readGpx(
      `<gpx><trk xmlns="http://www.topografix.com/GPX/1/0"><trkseg>${POINTS}</trkseg></trk></gpx>`,
    );
    expect(value!.track.latDeg.length).toBe(2);
  });
});

describe("what is left out, and said", () => {
  test.each([
    ['lat="91" lon="0"', "out of range"],
    ['lat="0" lon="-181"', "out of range"],
    ['lat="x" lon="0"', "no number"],
    ['lat="NaN" lon="0"', "NaN"],
    ['lat="" lon="0"', "empty"],
    ['lon="0"', "missing"],
  ])("a point with %s (%s)", (attributes) => {
    const { value, problems } = readGpx(GPX(`<trk><trkseg>${POINTS}<trkpt ${attributes}/></trkseg></trk>`));
    expect(value!.track.lonDeg.length).toBe(2);
    expect(problems).toHaveLength(1);
    expect(problems[0]!.severity).toBe("caution");
    expect(problems[0]!.place).toMatch(/^line \d+$/);
  });

  test.each(["9001", "-501", "Infinity", "high", "NaN"])("height %s counts as missing", (height) => {
    const { value, problems } = readGpx(
      GPX(`<trk><trkseg>${POINTS}<trkpt lat="40.002" lon="-150"><ele>${height}</ele></trkpt></trkseg></trk>`),
    );
    expect(value!.track.heightM[2]).toBeNaN();
    expect(problems[0]!.sentence).toContain("count as missing");
  });

  test("many bad points are counted, not listed one by one", () => {
    const { problems } = readGpx(
      GPX(`<trk><trkseg>${POINTS}${'<trkpt lat="99" lon="0"/>'.repeat(500)}</trkseg></trk>`),
    );
    expect(problems.length).toBeLessThan(30);
    expect(problems.at(-1)!.sentence).toContain("500 points");
  });
});

describe("what is refused, with a sentence", () => {
  test.each([
    ["an empty file", "", /empty/],
    ["plain text", "distance,height\n1,2", /not an XML file/],
    ["binary rubbish", "\u0000\u0001\u0002PNG", /not an XML file/],
    ["XML that is not GPX", "<kml><Document/></kml>", /root element is <kml>/],
    ["a page", "<html><body>404</body></html>", /root element is <html>/],
    ["a GPX without points", GPX(""), /no track or route points/],
    ["a track of one point", GPX('<trk><trkseg><trkpt lat="1" lon="1"/></trkseg></trk>'), /only one track point/],
    ["only bad points", GPX('<trk><trkseg><trkpt lat="99" lon="1"/></trkseg></trk>'), /None of the file’s 1 points/],
    ["bad points without end", GPX('<wpt lat="x"/>'.repeat(1200)), /first 1000 points/],
    ["a file cut short", TRACK.slice(0, -40), /cut off/],
    ["an entity bomb", '<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]><gpx>&b;</gpx>', /document type/],
    [
      "an external entity",
      '<!DOCTYPE gpx [<!ENTITY x SYSTEM "file:///etc/passwd">]><gpx><trk><name>&x;</name></trk></gpx>',
      /document type/,
    ],
    ["elements nested without end", GPX("<a>".repeat(200)), /nested more than 100 deep/],
    [
      "attributes without end",
      `<gpx ${Array.from({ length: 300 }, (_, i) => `a${i}=""`).join(" ")}/>`,
      /more than 200 attributes/,
    ],
    ["an undefined entity", GPX("<trk><name>&lol;</name></trk>"), /XML is broken/],
  ])("%s", (_, text, sentence) => {
    const { value, problems } = readGpx(text);
    expect(value).toBeUndefined();
    expect(problems).toHaveLength(1);
    expect(problems[0]!.severity).toBe("error");
    expect(problems[0]!.sentence).toMatch(sentence);
  });

  test("no text whatever makes it throw", () => {
    const pieces = fc.constantFrom(
      "<gpx>",
      "</gpx>",
      "<trk>",
      "<trkseg>",
      '<trkpt lat="1" lon="1">',
      "</trkpt>",
      "<ele>",
      "5",
      "</ele>",
      "<![CDATA[",
      "]]>",
      "<!--",
      "&amp;",
      "&#x0;",
      "<?x?>",
      "\u0000",
      '"',
      "<",
    );
    fc.assert(
      fc.property(fc.array(fc.oneof(pieces, fc.string({ maxLength: 6 })), { maxLength: 30 }), (parts) => {
        const { value, problems } = readGpx(parts.join(""));
        expect(value !== undefined || problems.length > 0).toBe(true);
      }),
      { numRuns: 1000 },
    );
  });
});
