/**
 * What the words on a waypoint mean, in five languages: data for `sortWaypoint`. Lower case, without accents;
 * whole words or runs of words. `~` before a word takes it as the end of a compound too (`~hutte`: Berghütte); `^`
 * takes it only where a name starts with it (`^bar`: Bar Central, not Long Bar Light, which stands on sand).
 */
import type { SERVICES, SOURCE_KINDS } from "../plan/ids.ts";

export type WaypointKind = "stop" | "water" | "camp" | "ford" | "hazard" | "landmark" | "other";
export type Offer = (typeof SERVICES)[number];
export type WaterKind = (typeof SOURCE_KINDS)[number];

export interface Meaning {
  kind: WaypointKind;
  offers?: readonly Offer[];
  water?: WaterKind;
}

interface Entry extends Meaning {
  /** By language; the hiker's own come as `own`. */
  words: Partial<Record<"en" | "de" | "fr" | "es" | "it" | "own", string>>;
}

// prettier-ignore
export const ENTRIES: readonly Entry[] = [
  { kind: "water", water: "spring", words: {
    en: "spring, springs, seep, water hole, waterhole, well, drinking spring, hot spring",
    de: "quelle, ~quelle, quellwasser, brunnquell",
    fr: "source, sources, resurgence", es: "manantial, nacimiento, ojo de agua, pozo", it: "sorgente, sorgenti, polla, pozzo" } },
  { kind: "water", water: "creek", words: {
    en: "creek, stream, brook, river, beck, burn, rill, branch, waterfall, wash",
    de: "bach, ~bach, fluss, wasserfall, rinnsal, ~bachlein", fr: "ruisseau, riviere, torrent, cascade, gave, ru",
    es: "arroyo, rio, riachuelo, cascada, torrente", it: "ruscello, torrente, fiume, rio, cascata" } },
  { kind: "water", water: "lake", words: {
    en: "lake, tarn, pond, lakes, loch, lough, reservoir, lagoon", de: "see, ~see, weiher, teich, stausee, tumpel",
    fr: "lac, etang, mare", es: "lago, laguna, embalse, charca, ibon", it: "lago, laghetto, stagno, bacino" } },
  { kind: "water", water: "tank", words: {
    en: "tank, trough, cistern, cattle tank, windmill, stock tank, guzzler, rain barrel", de: "tank, trog, zisterne, viehtranke, ~tranke, regentonne",
    fr: "citerne, abreuvoir, auge, bassin", es: "tanque, abrevadero, aljibe, bebedero", it: "cisterna, abbeveratoio, vasca" } },
  { kind: "water", water: "cache", words: {
    en: "cache, water cache, water drop", de: "wasserdepot, depot", fr: "depot d eau, cache", es: "deposito de agua, alijo", it: "deposito d acqua" } },
  { kind: "water", water: "tap", words: {
    en: "tap, faucet, spigot, fountain, drinking water, potable water, drinking fountain, pump, hydrant, standpipe",
    de: "wasserhahn, brunnen, ~brunnen, trinkwasser, zapfstelle, pumpe",
    fr: "robinet, fontaine, eau potable, pompe, borne fontaine", es: "grifo, fuente, agua potable, bomba, fuentes",
    it: "rubinetto, fontana, fontanella, acqua potabile, pompa" } },
  // Water of a sort that the word does not tell.
  { kind: "water", words: {
    en: "water, water point, water source, water supply", de: "wasser, wasserstelle", fr: "eau, point d eau",
    es: "agua, punto de agua", it: "acqua, punto acqua" } },
  { kind: "water", water: "snow", words: {
    en: "snowfield, snow patch, glacier", de: "schneefeld, gletscher", fr: "neve, glacier", es: "nevero, glaciar", it: "nevaio, ghiacciaio" } },

  { kind: "stop", offers: ["shop-full", "post", "bed"], words: {
    en: "town, city", de: "stadt, ~stadt, kleinstadt", fr: "ville, bourg", es: "ciudad", it: "citta, cittadina" } },
  { kind: "stop", offers: ["shop-small", "bed"], words: {
    en: "village, hamlet, settlement, resort, populated place", de: "dorf, ~dorf, ortschaft, weiler, siedlung", fr: "village, hameau, station",
    es: "pueblo, aldea, poblado, villa", it: "paese, villaggio, borgo, frazione" } },
  { kind: "stop", offers: ["shop-full"], words: {
    en: "supermarket, grocery, groceries, grocery store, shopping center, shopping centre, general store, food store, shopping, resupply",
    de: "supermarkt, einkauf, lebensmittel, einkaufen, einkaufszentrum", fr: "supermarche, epicerie, courses, ravitaillement, superette",
    es: "supermercado, ultramarinos, compras, abastecimiento, avituallamiento", it: "supermercato, alimentari, negozio di alimentari, rifornimento, spesa" } },
  { kind: "stop", offers: ["shop-small"], words: {
    en: "store, shop, kiosk, gas station, petrol station, filling station, market, bakery, deli, camp store, convenience store, trading post, marina",
    de: "laden, ~laden, kiosk, tankstelle, backerei, markt, hofladen, metzgerei", fr: "magasin, boulangerie, kiosque, station service, marche, boutique",
    es: "tienda, panaderia, quiosco, gasolinera, mercado", it: "negozio, panificio, panetteria, chiosco, distributore, mercato, bottega" } },
  { kind: "stop", offers: ["meals"], words: {
    en: "restaurant, cafe, pub, ^bar, bar and grill, diner, tea house, snack bar, grill, pizzeria", de: "restaurant, cafe, wirtshaus, imbiss, jausenstation",
    fr: "restaurant, cafe, buvette, bistro, creperie", es: "restaurante, ^bar, cafeteria, meson, cantina", it: "ristorante, trattoria, osteria, ^bar, caffe, malga" } },
  { kind: "stop", offers: ["meals", "bed"], words: {
    en: "inn and food", de: "gasthaus, gasthof", fr: "auberge" } },
  { kind: "stop", offers: ["post"], words: {
    en: "post office, parcel pickup, mail drop, parcel locker, parcel shop", de: "post, postamt, paketshop, packstation, postfiliale", fr: "poste, bureau de poste, la poste, point relais",
    es: "correos, oficina de correos", it: "posta, ufficio postale, poste" } },
  { kind: "stop", offers: ["outfitter"], words: {
    en: "outfitter, outfitters, gear shop, outdoor shop, sports shop, hardware store", de: "sportgeschaft, outdoorladen, ausruster, bergsport",
    fr: "magasin de sport, quincaillerie", es: "tienda de deportes, ferreteria", it: "negozio di sport, ferramenta" } },
  { kind: "stop", offers: ["laundry"], words: {
    en: "laundry, laundromat, launderette", de: "waschsalon, wascherei", fr: "laverie, blanchisserie", es: "lavanderia", it: "lavanderia" } },
  { kind: "stop", offers: ["bed"], words: {
    en: "hostel, hotel, motel, lodge, lodging, guesthouse, guest house, b b, bed and breakfast, cabins, cottage, inn, hut, mountain hut, bunkhouse, refuge, albergue",
    de: "herberge, jugendherberge, hotel, pension, hutte, ~hutte, berghutte, schutzhaus, unterkunft, zimmer, ferienwohnung, ~haus alm, naturfreundehaus",
    fr: "hotel, gite, refuge, auberge de jeunesse, chambre d hote, chambres d hotes, hebergement, cabane gardee", es: "albergue, hostal, hotel, refugio, pension, posada, alojamiento, parador, casa rural",
    it: "albergo, ostello, hotel, rifugio, pensione, locanda, agriturismo, alloggio" } },
  { kind: "stop", words: {
    en: "trail angel, visitor center, visitor centre, ranger station, ranch, bus stop, train station, railway station, station, ferry, airport, harbour, harbor",
    de: "bahnhof, bushaltestelle, besucherzentrum, fahre, flughafen, hafen, haltestelle", fr: "gare, arret de bus, office de tourisme, ferry, port, aeroport, maison du parc",
    es: "estacion de tren, parada de autobus, oficina de turismo, puerto, aeropuerto", it: "stazione, fermata, ufficio turistico, traghetto, porto, aeroporto" } },

  { kind: "camp", words: {
    en: "camp, campsite, campground, camp site, camping, tent site, tent sites, tentsite, tent pitch, tent platform, bivouac, bivy, bivy site, shelter, lean to, bothy, backcountry site",
    de: "camp, zeltplatz, campingplatz, camping, biwak, biwakplatz, lagerplatz, zelten, unterstand, schutzhutte, biwakschachtel, trekkingplatz",
    fr: "camping, bivouac, aire de bivouac, campement, abri, emplacement de tente, aire de camping, cabane",
    es: "camping, acampada, zona de acampada, vivac, campamento, cabana, refugio libre, area de acampada", it: "campeggio, camping, bivacco, area tende, piazzola, ricovero, capanna, area campeggio" } },

  { kind: "ford", words: {
    en: "ford, river crossing, creek crossing, stream crossing, crossing, wade", de: "furt, ~furt, flussquerung, bachquerung, durchwatung",
    fr: "gue, passage a gue", es: "vado, cruce del rio", it: "guado" } },

  { kind: "hazard", words: {
    en: "danger, hazard, caution, warning, rockfall, avalanche, avalanche area, washout, landslide, closed, closure, danger area, bear, quicksand, blowdown, exposed ridge, skull and crossbones, tidal",
    de: "gefahr, gefahrenstelle, vorsicht, steinschlag, lawine, lawinengefahr, gesperrt, sperrung, erdrutsch, warnung, absturzgefahr", fr: "danger, attention, eboulement, avalanche, ferme, chute de pierres, passage expose",
    es: "peligro, precaucion, desprendimiento, alud, cerrado, derrumbe", it: "pericolo, attenzione, caduta massi, valanga, chiuso, frana" } },

  { kind: "landmark", words: {
    en: "pass, saddle, col, gap, summit, peak, mountain, junction, trailhead, viewpoint, view, overlook, bridge, gate, trail junction, fork, notch, crossroads, lookout, parking, parking area, border, mile marker, road, ridge, benchmark, trail head, tunnel, dam, scenic area",
    de: "pass, ~pass, sattel, joch, ~joch, gipfel, ~gipfel, ~spitze, ~horn, kreuzung, abzweig, abzweigung, weggabelung, aussicht, aussichtspunkt, brucke, ~brucke, tor, scharte, parkplatz, grenze, wegweiser",
    fr: "col, sommet, pic, carrefour, croisement, bifurcation, point de vue, belvedere, pont, barriere, selle, breche, parking, frontiere",
    es: "puerto de montana, collado, cumbre, pico, cruce, bifurcacion, mirador, puente, alto, desvio, aparcamiento, frontera",
    it: "passo, colle, sella, forcella, cima, vetta, bivio, incrocio, belvedere, ponte, bocchetta, parcheggio, confine" } },
];

/** These turn the sense of a kind that is named beside them. */
export const NEGATIONS: Readonly<Record<"water" | "camp", string>> = {
  water:
    "no water, without water, dry, dried up, waterless, not potable, undrinkable, contaminated, " +
    "kein wasser, ohne wasser, trocken, ausgetrocknet, versiegt, kein trinkwasser, " +
    "pas d eau, sans eau, a sec, tari, tarie, eau non potable, sin agua, seco, seca, agua no potable, no potable, " +
    "senza acqua, secco, secca, asciutto, asciutta, acqua non potabile, non potabile",
  camp:
    "no camping, no tents, camping forbidden, camping prohibited, camping not allowed, " +
    "zelten verboten, kein zelten, campen verboten, camping verboten, camping interdit, bivouac interdit, " +
    "prohibido acampar, acampada prohibida, divieto di campeggio, campeggio vietato",
};

/** Not there all year. */
export const SEASONAL =
  "seasonal, seasonally, intermittent, unreliable, sometimes dry, early season, often dry, if flowing, " +
  // Dry for a part of the year only.
  "dry in, dry by, dry from, dry after, dry late, dries up, dries out, trocken im, trocken ab, im sommer trocken, " +
  "a sec en, tari en, tarie en, seco en, seca en, secco in, secca in, asciutto in, asciutta in, " +
  "saisonal, zeitweise, unzuverlassig, nicht immer, saisonnier, saisonniere, intermittent, intermittente, " +
  "estacional, temporal, no fiable, stagionale, temporaneo, inaffidabile";

/** Whether it runs is not told. */
export const UNKNOWN =
  "unknown, unverified, not verified, unconfirmed, not confirmed, not checked, unclear, ungewiss, unbekannt, ungepruft, " +
  "inconnu, inconnue, incertain, incertaine, non verifie, desconocido, desconocida, sin confirmar, sin verificar, " +
  "sconosciuto, sconosciuta, incerto, incerta, non verificato";

/** Between two things that are both there. */
export const JOINERS =
  "with, and, plus, at, near, by, next to, beside, mit, und, bei, am, an der, avec, et, pres, con, y, junto, cerca, e, presso, vicino";
/** A name with one of these starts with what it is: Fuente del Pueblo is a spring. */
export const ROMANCE =
  "de, du, des, d, del, de la, della, dello, di, da, do, dos, dei, degli, la, le, les, el, los, las, il, lo, aux, au, al, alla";
