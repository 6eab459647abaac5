/**
 * What the remarks on a place say beyond its kind, in five languages: parcels, food and beds there or not, the season
 * and hours of opening, a bus, months in which water dries up. Only what is written; nothing is guessed.
 */
import type { WEEKDAYS } from "../plan/ids.ts";
import { unaccented } from "./unaccented.ts";
import type { Offer } from "./words.ts";

export interface Remarks {
  offers: Offer[];
  /** Said not to be there. */
  without: Offer[];
  /** Open from this day of the year to that one, as MM-DD. */
  openFrom?: string;
  openTo?: string;
  opensH?: number;
  closesH?: number;
  /** The hours are those of the post counter alone. */
  postHours?: true;
  closedOn: (typeof WEEKDAYS)[number][];
  /** It dries up in this month, January 1. */
  driesIn?: number;
  /** Something drives there. */
  ride?: true;
  /** Food is spoken of, but of another place: down the road, in the next town. */
  foodElsewhere?: true;
}

/** Lower case without accents; dashes alike; clauses parted by strong marks, which figures keep to themselves. */
function clausesOf(text: string): string[] {
  return unaccented(text)
    .replace(/[’']/g, " ")
    .replace(/\s*[–—−-]\s*/g, "-")
    .replace(/(\d)\.(?=\s*\p{L})/gu, "$1 ")
    .split(/[;|,()\n!?]+|\.(?=\s|$)/)
    .map((clause) => clause.replace(/\s+/g, " ").trim())
    .filter((clause) => clause !== "");
}

interface Said {
  offer: Offer;
  yes: RegExp;
}

const BOXES = "(?:parcels?|packages?|packets?|boxe?s?|resupply|mail|pakete?|colis|paquetes?|pacchi|pacco)";
// Words that give no offer where they stand in a name or a direction are left to `sortWaypoint`.
const SAID: readonly Said[] = [
  {
    offer: "post",
    yes: new RegExp(
      `\\b(?:holds?|accepts?|takes?|keeps?|receives?|collects?|nimmt|lagert|garde|accepte|prend|guarda|acepta|recibe|accetta|tiene) (?:\\S+ ){0,3}?${BOXES}\\b|` +
        `\\b(?:mail ?drops?|post offices?|postamt|poststelle|bureau de poste|correos|ufficio postale|general delivery|poste restante|postlagernd)\\b|` +
        `\\b(?:and|with|und|et|mit|avec|y|e|con) (?:a )?(?:post|poste|posta)\\b|^(?:post|poste|posta)(?: (?:and|und|et|y|e) .*)?$|\\bpost ?[/+&]|[/+&] ?post\\b|${BOXES} (?:held|accepted|ok|possible)\\b`,
    ),
  },
  {
    offer: "shop-full",
    yes: /\b(?:supermarkets?|supermarkt|supermarche|supermercado|supermercato|full resupply|large (?:store|shop|grocery)|big (?:store|shop)|grocery stores?)\b/,
  },
  {
    offer: "shop-small",
    yes: /\b(?:(?:small |camp |general |village |corner )?(?:store|shop|kiosk|minimarket|mini market)|groceries|some food|limited resupply|laden|lebensmittel|dorfladen|magasin|epicerie|tienda|negozio|alimentari|bakery|backerei|boulangerie|panaderia|panetteria)\b/,
  },
  {
    offer: "meals",
    yes: /\b(?:meals?|restaurants?|cafe|diner|dinner|breakfast|half board|staffed|full board|serves food|warm food|hot food|halbpension|bewirtschaftet|bewartet|abendessen|fruhstuck|demi-pension|gardee|repas|comidas?|cena|desayuno|pasti|mezza pensione|custodito|pub)\b/,
  },
  {
    offer: "bed",
    yes: /\b(?:beds?|bunks?|dorms?|dormitory|rooms?(?! for)|hostel|hotel|motel|lodging|overnight stay|betten|zimmer|lager|ubernachtung|dortoir|chambres?|lits|camas|habitaciones|letti|camere)\b/,
  },
  { offer: "laundry", yes: /\b(?:laundry|laundromat|washing machine|waschmaschine|laverie|lavanderia|lavadora)\b/ },
  {
    offer: "outfitter",
    yes: /\b(?:outfitters?|gear (?:shop|store)|outdoor (?:shop|store)|sportgeschaft|gas canisters|gaskartuschen)\b/,
  },
  {
    offer: "socket",
    yes: /\b(?:sockets?|power outlets?|outlets?|charging|electricity|steckdosen?|strom|prises? electriques?|enchufes?|presa (?:elettrica|di corrente))\b/,
  },
];

const NO =
  /\b(?:no|not|never|without|doesn t|does not|don t|won t|will not|no longer|closed down|kein|keine|keinen|nicht|ohne|pas|plus de|sans|sin|ya no|non|senza|niente)\b/;
/** What is said of another place, down the road. */
const ELSEWHERE =
  /\b(?:towards?|to the|next (?!door|to)|nearest|nachster?|zum|zur|vers|prochaine?|hacia|verso|prossim[oa])\b|\b\d+(?:\.\d+)? ?(?:km|mi|miles?)\b/;
/** No food at all says no to shops and meals; no services to all. */
const NONE: readonly (readonly [RegExp, readonly Offer[]])[] = [
  [/\bno (?:food|resupply|groceries|supplies)\b|\bkeine (?:lebensmittel|verpflegung)\b/, ["shop-small", "shop-full"]],
  [
    /\bno (?:services|facilities)\b|\bunstaffed\b|\bunbewirtschaftet\b|\bnon gardee?\b/,
    ["shop-small", "shop-full", "post", "meals"],
  ],
];

export function readRemarks(text: string): Remarks {
  const clauses = clausesOf(text);
  const offers = new Set<Offer>();
  const without = new Set<Offer>();
  let foodElsewhere = false;
  for (const clause of clauses) {
    const isDenied = NO.test(clause);
    for (const { offer, yes } of SAID)
      if (yes.test(clause)) {
        if (isDenied) without.add(offer);
        else if (!ELSEWHERE.test(clause)) offers.add(offer);
        else if (offer.startsWith("shop")) foodElsewhere = true;
      }
    for (const [pattern, all] of NONE) if (pattern.test(clause)) all.forEach((offer) => without.add(offer));
  }
  // A shop that is large enough is no small one too.
  if (offers.has("shop-full")) offers.delete("shop-small");
  const bus = clauses.find((clause) => RIDES.test(clause) && !NO.test(clause));
  return {
    offers: [...offers].filter((offer) => !without.has(offer)),
    without: [...without],
    ...seasonOf(clauses),
    ...hoursOf(clauses),
    closedOn: clauses.flatMap(closedDays),
    ...driesIn(clauses),
    ...(bus === undefined ? {} : { ride: true as const }),
    ...(foodElsewhere ? { foodElsewhere: true as const } : {}),
  };
}

const RIDES = /\b(?:bus|buses|shuttle|postbus|navette|autobus|autocar|taxi)\b(?! (?:stop|station|shelter))/;

// Months by how they start; four letters and more tell them from words that are none.
const MONTHS =
  "(jan(?:\\.|uary|uar|vier|v)?|gennaio|enero)|(feb(?:ruary|ruar|braio|rero)?|fev(?:rier|r)?)|(mar(?:ch|z|s|zo)?|maerz)|" +
  "(apr(?:il|ile)?|avr(?:il)?|abr(?:il)?)|(may|mai|mayo|maggio)|(jun[ei]?|juin|junio|giugno)|(jul[yi]?|juil(?:let)?|julio|luglio)|" +
  "(aug(?:ust)?|aout|ago(?:sto)?)|(sep(?:t|tember|tembre|tiembre)?|settembre)|(o[ck]t(?:ober|obre|ubre)?|ottobre)|(nov(?:ember|embre|iembre)?)|" +
  "(de[cz](?:ember|embre)?|dic(?:iembre|embre)?)";
const PART =
  "early|mid|middle of|late|end of|anfang|mitte|ende|debut|mi|fin|inicio de|mediados de|fines de|inizio|meta|fine";
const DATE = `(?:the |den |le |el |il |about )?(?:(\\d{1,2})(?:st|nd|rd|th)? (?:of |de )?|(${PART})[ -])?(?:${MONTHS})\\b(?: (\\d{1,2})(?:st|nd|rd|th)?(?![\\d:]))?`;
/** Groups of a date: day before, part, twelve months, day after. */
const GROUPS = 15;
const TO = "(?: ?- ?| to | till? | until | through | thru | bis | au | jusqu au | al? | hasta | fino a )";
const RANGE = new RegExp(`\\b${DATE}${TO}${DATE}`);
const OPEN = "(?:open(?:s|ed)?|opening|geoffnet|offen|ouverte?|abiert[oa]|apert[oa]|staffed|bewirtschaftet|gardee)";
const CLOSED = "(?:closed|shut|closes|geschlossen|zu|ferme|fermee|cerrad[oa]|chius[oa])";
const OPENS = new RegExp(
  `\\b(?:${CLOSED} (?:until|till?|before|bis|jusqu au|hasta|fino a|through)|${OPEN} (?:from|since|after|in|on|ab|seit|a partir du|a partir de|des le|desde|dal)|opens|ab) (?:the )?${DATE}`,
);
const CLOSES = new RegExp(
  `\\b(?:${CLOSED} (?:from|after|since|in|on|ab|nach|a partir du|despues de|desde|dal|dopo)|closes(?: in| on)?|${OPEN} (?:until|till?|through|bis|jusqu au|hasta|fino a)) (?:the )?${DATE}`,
);

interface DayOfYear {
  month: number;
  day: number | undefined;
  part: string | undefined;
}

function dateIn(match: readonly (string | undefined)[], from: number): DayOfYear {
  const at = match.slice(from, from + GROUPS);
  const day = Number(at[0] ?? at[14] ?? NaN);
  const month = at.slice(2, 14).findIndex((group) => group !== undefined) + 1;
  return { month, day: day >= 1 && day <= 31 ? day : undefined, part: at[1] };
}

// 2028 has a 29 February.
const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;
const EARLY = /^(?:early|anfang|debut|inicio|inizio)/;
const MIDDLE = /^(?:mi|meta|mediados)/;

/** The first day that is meant, or the last one. */
function dayOf({ month, day, part }: DayOfYear, end: "first" | "last"): string {
  const length = MONTH_DAYS[month - 1]!;
  const rough =
    part === undefined
      ? end === "first"
        ? 1
        : length
      : EARLY.test(part)
        ? end === "first"
          ? 1
          : 10
        : MIDDLE.test(part)
          ? 15
          : end === "first"
            ? 20
            : length;
  return `${String(month).padStart(2, "0")}-${String(Math.min(length, day ?? rough)).padStart(2, "0")}`;
}

const DRY = /\b(?:dry|dries|dried|trocken|sec|tarie?|sec[oa]|secc[oa]|asciutt[oa]|flow|flows|flowing|water|wasser)\b/;

function seasonOf(clauses: readonly string[]): Pick<Remarks, "openFrom" | "openTo"> {
  for (const clause of clauses) {
    if (DRY.test(clause)) continue;
    const range = RANGE.exec(clause);
    if (range) {
      const [from, to] = [dateIn(range, 1), dateIn(range, 1 + GROUPS)];
      if (new RegExp(`\\b${CLOSED}\\b`).test(clause.slice(0, range.index)))
        return { openFrom: shifted(dayOf(to, "last"), 1), openTo: shifted(dayOf(from, "first"), -1) };
      return { openFrom: dayOf(from, "first"), openTo: dayOf(to, "last") };
    }
    const [opens, closes] = [OPENS.exec(clause), CLOSES.exec(clause)];
    if (opens) return { openFrom: dayOf(dateIn(opens, 1), "first"), openTo: "12-31" };
    if (closes) {
      const isLast = new RegExp(`^${OPEN}`).test(closes[0]);
      const date = dateIn(closes, 1);
      return { openFrom: "01-01", openTo: isLast ? dayOf(date, "last") : shifted(dayOf(date, "first"), -1) };
    }
  }
  return {};
}

/** A day before or after, in a year with a 29 February. */
function shifted(monthDay: string, days: number): string {
  const date = new Date(`2028-${monthDay}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(5, 10);
}

const CLOCK = "(\\d{1,2})(?:[:.h](\\d{2}))? ?(am|pm|h|uhr)?";
const HOURS = new RegExp(`(?:^|[^\\d.:])${CLOCK}${TO}${CLOCK}(?![\\d:.])(.*)$`);
/** Figures that are no hours. */
const COUNTED =
  /^ ?(?:km|mi|m|l|days?|tents?|people|persons?|miles?|beds?|euros?|€|\$|%|tage?|minutes?|min|ft|places?)\b/;
const LEADS_HOURS =
  /(?:\b(?:open|opens|hours?|daily|post|shop|store|counter|geoffnet|offen|taglich|ouvert|abierto|aperto|from|von|mo|tu|we|th|fr|sa|su|mon|tue|wed|thu|fri|sat|sun|days)\b[^\d]*|^)$/;

function hoursOf(clauses: readonly string[]): Pick<Remarks, "opensH" | "closesH" | "postHours"> {
  for (const clause of clauses) {
    if (NO.test(clause) || RANGE.test(clause)) continue;
    const match = HOURS.exec(clause);
    if (!match) continue;
    const [, fromHour, fromMinutes, fromMark, toHour, toMinutes, toMark, rest = ""] = match;
    const isMarked = [fromMinutes, fromMark, toMinutes, toMark].some((mark) => mark !== undefined);
    const leads = LEADS_HOURS.test(clause.slice(0, match.index + 1).replace(/\d$/, ""));
    if (COUNTED.test(rest) || (!isMarked && !(leads && /^ ?(?:daily|taglich)?$/.test(rest)))) continue;
    const hour = (whole: string, minutes: string | undefined, mark: string | undefined): number =>
      (Number(whole) % (mark === "am" || mark === "pm" ? 12 : 25)) +
      (mark === "pm" ? 12 : 0) +
      Number(minutes ?? 0) / 60;
    const opensH = hour(
      fromHour!,
      fromMinutes,
      fromMark ?? (toMark === "pm" && Number(fromHour) < 12 && Number(fromHour) > 6 ? "am" : toMark),
    );
    const closesH = hour(toHour!, toMinutes, toMark);
    if (!(opensH < closesH) || closesH > 24) continue;
    return { opensH, closesH, ...(/\bpost|\bcounter\b/.test(clause) ? { postHours: true as const } : {}) };
  }
  return {};
}

const DAYS = [
  /\b(?:mon(?:days?)?|montags?|mo)\b/,
  /\b(?:tue(?:s|sdays?)?|dienstags?)\b/,
  /\b(?:wed(?:nesdays?)?|mittwochs?)\b/,
  /\b(?:thu(?:rs|rsdays?)?|donnerstags?)\b/,
  /\b(?:fri(?:days?)?|freitags?)\b/,
  /\b(?:sat(?:urdays?)?|samstags?)\b/,
  /\b(?:sun(?:days?)?|sonntags?)\b/,
] as const;
const KEYS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] as const;

/** Days of the week that a clause says it is closed on. */
function closedDays(clause: string): Remarks["closedOn"] {
  if (!new RegExp(`\\b${CLOSED}\\b`).test(clause)) return [];
  return KEYS.filter((_, i) => DAYS[i]!.test(clause));
}

const DRIES = new RegExp(
  `\\b(?:(?:dry|dries up|dries out|dries|runs dry|trocken|a sec|tarie?|sec[oa]|secc[oa]|asciutt[oa]) (?:after|from|by|in|since|ab|im|nach|en|des|a partir de|depuis|desde|da|dal) |` +
    `(?:flows?|flowing|water|reliable|good|running|wasser|fliesst) (?:only )?(?:until|till?|through|into|bis) )(?:the )?${DATE}`,
);
const DRY_RANGE = new RegExp(`\\b(?:dry|trocken|sec|sec[oa]|secc[oa])\\b[^\\d]*?\\b${RANGE.source.slice(2)}`);

function driesIn(clauses: readonly string[]): Pick<Remarks, "driesIn"> {
  for (const clause of clauses) {
    const match = DRIES.exec(clause) ?? DRY_RANGE.exec(clause);
    if (match) return { driesIn: dateIn(match, 1).month };
  }
  return {};
}

/** Before the month in which it dries up, in it, and after; it is wet again with the year's wet half [L]. */
const [WET, TURNING, DRIED] = [0.9, 0.5, 0.2];
const DRY_MONTHS = 3;

/** The chance of water by month at a source that dries up in one of them; it takes three months and one more to come back. */
export function chanceDrying(month: number): number[] {
  return Array.from({ length: 12 }, (_, i) => {
    const after = (i + 1 - month + 12) % 12;
    return after === 0 || after === DRY_MONTHS + 1 ? TURNING : after <= DRY_MONTHS ? DRIED : WET;
  });
}
