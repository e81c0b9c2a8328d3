/** A made-up record and stock of any size, and what the pages ask of it over HTTP. */
import { query } from "../scripts/lib/databases.mjs";

/** The version of the figures that the motors are put in with: that of the lines which are there. */
const FIGURED = "(select max(figured) from stock_items)";
const UNIT = "00000000-0000-7000-8000-000000000007";

/** Made-up jobs: seven sites, seven colors, five visits to a unit, ohms spread over the ladder. */
const jobs = (count) => `
  insert into jobs (shop_id, id, last_fact_at, title, unit, words, summarised, unit_id, status_arrival, fingerprint, steps)
  select (select shop_id from jobs limit 1), gen_random_uuid(), now() - i * interval '7 minutes', 'Job ' || i, null,
    ' ' || (array['ice house','fish hall','smokery','net loft','chandlery','hatchery','boatyard'])[1 + i % 7] || ' unit '
      || i || ' ' || (array['violet','orange','brown','white','black','red','yellow'])[1 + (i / 7) % 7]
      || ' november 2026 ',
    1000, ('00000000-0000-7000-8000-' || lpad((i % greatest(1, ${count} / 5))::text, 12, '0'))::uuid, 1,
    jsonb_build_object('leads', jsonb_build_array(jsonb_build_object('name', 'BN', 'was', ''),
      jsonb_build_object('name', 'BK', 'was', ''), jsonb_build_object('name', 'RD', 'was', '')),
      'ohms', jsonb_build_array(main, start, main + start), 'windingC', null),
    array[round(ln(main) / 0.03), round(ln(start) / 0.03), round(ln(main + start) / 0.03)]::int[]
  from (select i, exp(random() * 3.5)::float8 as main, exp(0.7 + random() * 3.5)::float8 as start
    from generate_series(1, ${count}) i) made`;

const units = (count) => `
  insert into units (shop_id, id, customer, site, name, words)
  select (select shop_id from jobs limit 1), ('00000000-0000-7000-8000-' || lpad(i::text, 12, '0'))::uuid, '', 'ice house',
    'fan ' || i, ' ice house fan ' || i || ' '
  from generate_series(0, ${count} / 5) i
  on conflict do nothing`;

/** Made-up motors of the stock: six powers, four speeds, three supplies, a few pieces each, none short. */
const stock = (count) => `
  insert into stock_items (shop_id, id, kind, name, part, place, count, minimum, cost, power_watts, rpm, volts, microfarads,
    motor_kind, poles, supplies, read_plate, figured, words, item)
  select (select shop_id from jobs limit 1), id, 'motor', 'Bench motor ' || i, 'BM-' || i, 'shelf ' || i % 40, 1 + i % 3, 1,
    50 + i % 400, watts, rpm, high, 5, 'plain', poles, ('{[' || low * 0.9 || ',' || high * 1.1 || ']}')::nummultirange,
    jsonb_build_object('powerWatts', jsonb_build_array(watts), 'rpm', rpm, 'hertz', jsonb_build_array(60),
      'volts', jsonb_build_array(jsonb_build_object('low', low, 'high', high)),
      'runCapacitor', jsonb_build_object('microfarads', 5, 'volts', 370)),
    ${FIGURED}, ' bench motor ' || i || ' bm-' || i || ' shelf ' || i % 40 || ' bm ' || i || ' ',
    jsonb_build_object('kind', 'motor', 'id', id, 'name', 'Bench motor ' || i, 'part', 'BM-' || i, 'place', 'shelf ' || i % 40,
      'count', 1 + i % 3, 'minimum', 1, 'cost', 50 + i % 400, 'ohms', '', 'plate', jsonb_build_object('power', watts || ' W',
      'speed', rpm::text, 'volts', low || '-' || high, 'hertz', '60', 'runCapacitor', '5/370'))
  from (select i, gen_random_uuid() as id, (array[93, 124, 186, 249, 373, 559])[1 + i % 6] as watts,
      (array[825, 1075, 1625, 1725])[1 + i / 6 % 4] as rpm, (array[8, 6, 4, 4])[1 + i / 6 % 4] as poles,
      (array[115, 208, 230])[1 + i / 24 % 3] as low, (array[115, 230, 230])[1 + i / 24 % 3] as high
    from generate_series(1, ${count}) i) made`;

const NEED = {
  old: { power: "1/3 hp", speed: "1075", volts: "208-230", hertz: "60" },
  place: { supplyVolts: 236 },
};

/** What is asked of a record, by what it is called; each gives the answer's text. */
export const ASKED = [
  ["first page of the list", (base) => get(base, "/api/v1/jobs")],
  ["the page itself", (base) => get(base, "/")],
  ["a common word, ten lines", (base) => get(base, "/api/v1/jobs?search=smokery&most=10")],
  ["two common words, two lines", (base) => get(base, "/api/v1/jobs?search=smokery%20violet&most=2")],
  ["a rare word", (base) => get(base, "/api/v1/jobs?search=unit%2077")],
  ["no such word", (base) => get(base, "/api/v1/jobs?search=nowhere%20zzz")],
  ["a unit by letters", (base) => get(base, "/api/v1/units?search=fan")],
  ["a unit's visits", (base) => get(base, `/api/v1/units/${UNIT}`)],
  ["met before, three readings", (base) => post(base, "/api/v1/met-before", readings())],
  ["the stock by name", (base) => get(base, "/api/v1/stock")],
  ["the stock by pieces, the most first", (base) => get(base, "/api/v1/stock?sort=onHand&descending=true")],
  [
    "the stock by cost, nine tenths down",
    (base, size) => get(base, `/api/v1/stock?sort=cost&offset=${size * 0.9}`),
  ],
  ["the stock, what is short", (base) => get(base, "/api/v1/stock?only=short")],
  ["the stock by a letter", (base) => get(base, "/api/v1/stock?search=m")],
  ["the stock by two words", (base) => get(base, "/api/v1/stock?search=motor%2077")],
  ["the stock by a short word that is nowhere", (base) => get(base, "/api/v1/stock?search=zq")],
  ["what could replace a motor", (base) => post(base, "/api/v1/match", NEED)],
];

/** Puts a made-up record of this size in the place of the one before. */
export async function filled(url, size) {
  await query(url, "delete from jobs where demo is null", jobs(size), units(size));
  await stocked(url, size);
  for (const table of ["jobs", "units"]) await query(url, `vacuum analyze ${table}`);
}

/** The same of the stock alone, beside whatever jobs there are. */
export async function stocked(url, size) {
  await query(url, "delete from stock_items where name like 'Bench motor%'", stock(size));
  for (const table of ["stock_items", "stock_counts"]) await query(url, `vacuum analyze ${table}`);
}

async function get(base, path) {
  return read(await fetch(base + path));
}

async function post(base, path, body) {
  const headers = { "content-type": "application/json" };
  return read(await fetch(base + path, { method: "POST", headers, body: JSON.stringify(body) }));
}

async function read(response) {
  const text = await response.text();
  if (!response.ok) throw new Error(`${response.url} answered ${response.status}: ${text.slice(0, 200)}`);
  return text;
}

/** Three readings of a motor that may be in the record or not. */
function readings() {
  const [one, other] = [Math.exp(Math.random() * 3.5), Math.exp(0.7 + Math.random() * 3.5)];
  const pair = (a, b, ohms) => ({ between: [a, b], ohms, sigmaOhms: 0.05 + ohms * 0.005 });
  return {
    leads: ["GY", "VT", "TQ"].map((name) => ({ id: name, name })),
    readings: [pair("GY", "VT", one), pair("VT", "TQ", other), pair("GY", "TQ", one + other)],
    windingC: null,
  };
}
