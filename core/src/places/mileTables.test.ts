/** Mile tables in as many layouts as people keep them, each with what is true of it. */
import { describe, expect, test } from "vitest";
import { M_PER_FT, M_PER_MI } from "../units/constants.ts";
import { guessColumns, readMileTable, tableRows } from "./mileTable.ts";

interface Layout {
  layout: string;
  text: string;
  /** Metres of one of its distances, and of one of its heights. */
  unitM: number;
  heightUnitM?: number;
  /** Name, distance, height. */
  truth: (readonly [name: string, along: number, height?: number])[];
}

const KM = 1000;

const LAYOUTS: readonly Layout[] = [
  {
    layout: "titles and a date above the heads, miles and feet",
    text: `Ridge walk 2027\tdraft 3\n\nkept by the two of us\nMile\tPlace\tElev\tServices\n0.0\tHarbor\t12\tall\n7.7\tCold spring\t1017\twater\n31.4\tMeadow camp\t6070\t`,
    unitM: M_PER_MI,
    heightUnitM: M_PER_FT,
    truth: [
      ["Harbor", 0, 12],
      ["Cold spring", 7.7, 1017],
      ["Meadow camp", 31.4, 6070],
    ],
  },
  {
    layout: "German, decimal commas, semicolons",
    text: `km;Ort;Höhe (m ü. M.);Art;Bemerkung\n0,0;Hafen;4;Ort;\n12,4;Kalte Quelle;310;Wasser;bis Juli\n1.020,5;Alm;1.850;Hütte;nur im Sommer`,
    unitM: KM,
    truth: [
      ["Hafen", 0, 4],
      ["Kalte Quelle", 12.4, 310],
      ["Alm", 1020.5, 1850],
    ],
  },
  {
    layout: "French, a column of services",
    text: `Distance (km)\tLieu\tAltitude\tServices\n0\tLe Port\t4\tépicerie, poste\n14,2\tFontaine froide\t310\teau\n27,9\tRefuge du col\t2 150\trepas, lits`,
    unitM: KM,
    truth: [
      ["Le Port", 0, 4],
      ["Fontaine froide", 14.2, 310],
      ["Refuge du col", 27.9, 2150],
    ],
  },
  {
    layout: "Spanish, names first",
    text: `Lugar,Km,Altitud,Tipo\nPuerto,0,4,pueblo\nFuente fría,18.3,410,agua\nAlbergue alto,41.7,1210,cama`,
    unitM: KM,
    truth: [
      ["Puerto", 0, 4],
      ["Fuente fría", 18.3, 410],
      ["Albergue alto", 41.7, 1210],
    ],
  },
  {
    layout: "Italian, the height before the distance",
    text: `Luogo;Quota m;Distanza km;Note\nPorto;4;0;partenza\nSorgente;640;9,6;buona\nRifugio;2104;21,25;letti`,
    unitM: KM,
    truth: [
      ["Porto", 0, 4],
      ["Sorgente", 9.6, 640],
      ["Rifugio", 21.25, 2104],
    ],
  },
  {
    layout: "no heads at all, pasted from a message",
    text: `0\tStart\n8.5\tMill ford\n23\tStore at the cross\n37.2\tElm creek\n52\tOak gap`,
    unitM: KM,
    truth: [
      ["Start", 0],
      ["Mill ford", 8.5],
      ["Store at the cross", 23],
      ["Elm creek", 37.2],
      ["Oak gap", 52],
    ],
  },
  {
    layout: "told from the far end",
    text: `Miles to go,Location,Elevation (ft)\n212.5,South gate,900\n180,Long lake,4100\n0,North end,1250`,
    unitM: M_PER_MI,
    heightUnitM: M_PER_FT,
    truth: [
      ["South gate", 0, 900],
      ["Long lake", 32.5, 4100],
      ["North end", 212.5, 1250],
    ],
  },
  {
    layout: "distances to the next place",
    text: `Place,To next (km),Height (m)\nHarbour,11.5,4\nSpring,20,310\nHut,8.25,1850\nEnd,,90`,
    unitM: KM,
    truth: [
      ["Harbour", 0, 4],
      ["Spring", 11.5, 310],
      ["Hut", 31.5, 1850],
      ["End", 39.75, 90],
    ],
  },
  {
    layout: "both directions, the walker's first",
    text: `Miles N\tMiles S\tLandmark\tElevation ft\n0\t98.1\tSouth gate\t900\n40.6\t57.5\tLong lake\t4100\n98.1\t0\tNorth end\t1250`,
    unitM: M_PER_MI,
    heightUnitM: M_PER_FT,
    truth: [
      ["South gate", 0, 900],
      ["Long lake", 40.6, 4100],
      ["North end", 98.1, 1250],
    ],
  },
  {
    layout: "units in a row of their own",
    text: `Name,Distance,Elevation,Note\n,(km),(m),\nHarbour,0,4,\nSpring,12.5,310,good\nHut,30.1,1850,beds`,
    unitM: KM,
    truth: [
      ["Harbour", 0, 4],
      ["Spring", 12.5, 310],
      ["Hut", 30.1, 1850],
    ],
  },
  {
    layout: "heads again on every page, with a line between",
    text: `Mile\tPlace\tElevation\n0\tHarbor\t12\n7.7\tCold spring\t1017\nMile\tPlace\tElevation\n\t\t\n31.4\tMeadow\t6070\n44\tPass\t9100`,
    unitM: M_PER_MI,
    heightUnitM: M_PER_FT,
    truth: [
      ["Harbor", 0, 12],
      ["Cold spring", 7.7, 1017],
      ["Meadow", 31.4, 6070],
      ["Pass", 44, 9100],
    ],
  },
  {
    layout: "sections as lines, a total at the end",
    text: `km,place,kind\nSection 1: the flats,,\n0,Harbour,town\n12.5,Spring,water\nSection 2: the range,,\n30.1,Hut,hut\n66,Far town,town\nTotal,66 km,`,
    unitM: KM,
    truth: [
      ["Harbour", 0],
      ["Spring", 12.5],
      ["Hut", 30.1],
      ["Far town", 66],
    ],
  },
  {
    layout: "thousands apart, in quotes, lines of Windows, a mark at the start",
    text: `\uFEFF"Mile","Name","Elevation (ft)"\r\n"0","Harbor","12"\r\n"1,034.2","Meadow, upper","6,070"\r\n"1,101.9","Pass","11,840"\r\n`,
    unitM: M_PER_MI,
    heightUnitM: M_PER_FT,
    truth: [
      ["Harbor", 0, 12],
      ["Meadow, upper", 1034.2, 6070],
      ["Pass", 1101.9, 11_840],
    ],
  },
  {
    layout: "units in the cells",
    text: `Place|Distance|Elevation\nHarbour|0 km|4 m\nSpring|12.5 km|310 m\nHut|30.1 km|1 850 m`,
    unitM: KM,
    truth: [
      ["Harbour", 0, 4],
      ["Spring", 12.5, 310],
      ["Hut", 30.1, 1850],
    ],
  },
  {
    layout: "a number of its own before each row, coordinates behind",
    text: `#,Waypoint,km,Lat,Lon,Comment\n1,Harbour,0,46.1,9.2,start\n2,Spring,12.5,46.2,9.21,\n3,Hut,30.1,46.35,9.25,staffed`,
    unitM: KM,
    truth: [
      ["Harbour", 0],
      ["Spring", 12.5],
      ["Hut", 30.1],
    ],
  },
  {
    layout: "metres along the way, spaces between thousands",
    text: `Distance (m);Name;Altitude (m)\n0;Harbour;4\n12 400;Spring;310\n130 150;Hut;1 850`,
    unitM: 1,
    truth: [
      ["Harbour", 0, 4],
      ["Spring", 12_400, 310],
      ["Hut", 130_150, 1850],
    ],
  },
];

const shown = (name: string, alongM: number, heightM: number | undefined): string =>
  `${name} ${Math.round(alongM)} ${heightM === undefined ? "" : Math.round(heightM)}`;

describe("mile tables by many hands", () => {
  const read = LAYOUTS.map(({ layout, text, unitM, heightUnitM = 1, truth }) => {
    const rows = tableRows(text);
    const found = readMileTable(rows, guessColumns(rows));
    const is = found.rows.map((row) => shown(row.name, row.alongM, row.heightM));
    const should = truth.map(([name, along, height]) =>
      shown(name, along * unitM, height === undefined ? undefined : height * heightUnitM),
    );
    return { layout, is, should, unread: found.unread };
  });

  test("at least 95 rows of 100 are right at once", () => {
    const all = read.flatMap(({ should }) => should);
    const right = read.flatMap(({ is, should }) => should.filter((row) => is.includes(row)));
    expect(right.length / all.length).toBeGreaterThanOrEqual(0.95);
  });

  test.each(read)(
    "$layout: no row comes that is not there, and none is lost without a word",
    ({ is, should, unread }) => {
      expect(is.filter((row) => !should.includes(row))).toEqual([]);
      expect(should.length - is.length).toBeLessThanOrEqual(unread.length);
    },
  );
});
