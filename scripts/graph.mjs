import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ROOT } from './lib.mjs';

/** Draws docs/floors.svg: the floors of core as the lint sees them, with how often each imports from those below. */
const HOLDS = {
  paper: 'everything that leaves on paper, or as one document',
  business: 'what it costs, the day, the weeks, sheets of a whole bench, what is to be bought',
  table: 'the deck in its words, the practice machine, the cutter, names, sizes, house rules searched',
  files: 'open formats in and out: cut files, stitch files, lists of threads',
  records: 'the logbook: found, learned from, made again, drilled, in pictures',
  ledger: 'what a piece takes and leaves: movements, rolls and offcuts, needles of the bench',
  sync: 'how two devices’ changes become one, and what is remembered of them',
  planner: 'the chain of stages, and what needs two of them to be seen',
  stages: '',
  stock: 'what the shop has, asked: spools, supplies, a thread for a colour',
  catalogue: 'what the trade knows, as data: cloth, materials, schools, house numbers',
  model: 'what is stored and what the API says: schemas, types, empty values',
  base: 'units, geometry, colour, ids',
};
const FLOORS = Object.keys(HOLDS);
const STAGES = ['piece', 'design', 'place', 'hoop', 'layers', 'mount', 'stitch', 'finish', 'log'];
const [WIDTH, ROW, GAP, LEFT] = [760, 60, 14, 96];
const INK = '#1F2B3A';

const args = ['-c', '.dependency-cruiser.cjs', '-T', 'json', 'core/src'];
const { stdout } = spawnSync(bin('depcruise'), args, { cwd: ROOT, encoding: 'utf8', maxBuffer: 1e8 });
const isTest = (path) => /\.test\.ts$|\/testing\//.test(path);
const modules = JSON.parse(stdout).modules.filter(
  ({ source }) => source.startsWith('core/src/') && !isTest(source),
);
const floorOf = (path) => path.split('/')[2];

/** How many imports run from one group of files to another. */
const counted = (groupOf) => {
  const counts = new Map();
  for (const { source, dependencies } of modules)
    for (const { resolved } of dependencies) {
      const [from, to] = [groupOf(source), groupOf(resolved)];
      if (from && to && from !== to) counts.set(`${from} ${to}`, (counts.get(`${from} ${to}`) ?? 0) + 1);
    }
  return counts;
};
const between = counted((path) => FLOORS.find((floor) => floorOf(path) === floor));
const stageOf = (path) => STAGES.find((stage) => path.startsWith(`core/src/stages/${stage}/`));
const betweenStages = counted(stageOf);

const text = (x, y, words, size = 13, more = '') =>
  `<text x="${x}" y="${y}" font-size="${size}" fill="${INK}" ${more}>${words}</text>`;

const rows = FLOORS.map((floor, i) => {
  const y = 20 + i * (ROW + GAP);
  const files = modules.filter(({ source }) => floorOf(source) === floor).length;
  const below = FLOORS.slice(i + 1)
    .map((other) => [other, between.get(`${floor} ${other}`) ?? 0])
    .filter(([, count]) => count > 0)
    .map(([other, count]) => `${other} ${count}`)
    .join(' · ');
  const stages =
    floor === 'stages'
      ? STAGES.map((stage, k) => {
          const x = LEFT + 10 + k * 70.6;
          const earlier = STAGES.slice(0, k).reduce(
            (n, e) => n + (betweenStages.get(`${stage} ${e}`) ?? 0),
            0,
          );
          return `<rect x="${x}" y="${y + 10}" width="66" height="34" rx="3" fill="#F6F1E6" stroke="${INK}"/>${text(x + 33, y + 25, stage, 12, 'text-anchor="middle"')}${text(x + 33, y + 39, k === 0 ? 'first' : `← ${earlier}`, 10, 'text-anchor="middle"')}`;
        }).join('')
      : text(LEFT + 12, y + 28, `${HOLDS[floor]} (${files} files)`, 13);
  return `<rect x="${LEFT}" y="${y}" width="${WIDTH - LEFT - 10}" height="${ROW}" rx="4" fill="#FFFEF8" stroke="${INK}" stroke-width="1.6"/>
${text(LEFT - 10, y + ROW / 2 + 5, floor, 15, 'text-anchor="end" font-weight="700"')}
${stages}
${text(LEFT + 12, y + ROW - 10, below ? `imports ${below}` : 'imports nothing of ours', 12)}`;
});

const height = 20 + FLOORS.length * (ROW + GAP);
const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}" font-family="sans-serif">
<title>The floors of core, and how often each imports from those below</title>
<rect width="100%" height="100%" fill="#F6F1E6"/>
${rows.join('\n')}
</svg>
`;
writeFileSync(join(ROOT, 'docs/floors.svg'), svg);
console.log('docs/floors.svg');
