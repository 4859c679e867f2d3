// Changes Core in small ways, one at a time, and counts how many of the changes a test notices. Called by ./test mutants; see docs/quality.md.
//   node scripts/mutants.mjs [FOLDER…] [--sample N]
// Every change runs all tests of Core, so a folder takes from minutes to over an hour: with --sample about so many changes of each are drawn,
// always the same ones for the same code. What was not noticed, and where the tests did not end, is made again by itself; what is not noticed
// then either stands in .run/mutants.
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join, relative } from 'node:path';

const root = join(import.meta.dirname, '..');
const core = join(root, 'src', 'VerdantSieve.Core');
const tests = join(root, 'tests', 'VerdantSieve.Core.Tests');
const known = readdirSync(core, { withFileTypes: true }).filter(e => e.isDirectory() && !['bin', 'obj'].includes(e.name)).map(e => e.name);

// A line with something to change gives about so many changes, at the least.
const PER_PLACE = 1.2;

const folders = [];
let sample = 0;
for (let args = process.argv.slice(2); args.length;) {
  const arg = args.shift();
  if (arg === '--sample') {
    sample = Number(args.shift());
    if (!Number.isInteger(sample) || sample < 1) stop('--sample takes a whole number of at least 1.');
  } else if (known.includes(arg)) folders.push(arg);
  else stop(`“${arg}” is not a folder of Core; there are ${known.join(', ')}.`);
}

// All folders in one run, since making the mutants takes minutes however many are tried.
const chosen = folders.length ? folders : known;
const result = measure(chosen);
again(result);
for (const folder of chosen) report(folder);

function measure(folders) {
  const out = join(root, '.run', 'mutants');
  rmSync(out, { recursive: true, force: true });
  mkdirSync(out, { recursive: true });
  const config = {
    'stryker-config': {
      project: 'VerdantSieve.Core.csproj',
      configuration: 'Release',
      mutate: folders.flatMap(patterns),
      'test-runner': 'mtp',
      // Capturing which test covers what fails with this runner; without it every mutant runs all tests.
      'coverage-analysis': 'off',
      concurrency: 2,
      // What does not end is made again by itself.
      'additional-timeout': 60000,
      reporters: ['json', 'dots'],
      // Sentences are compared where they matter; words within messages are not counted.
      'ignore-mutations': ['string'],
      'ignore-methods': ['ToString', '*Exception.ctor'],
      thresholds: { high: 80, low: 60, break: 0 },
    },
  };
  const file = join(out, 'stryker-config.json');
  writeFileSync(file, JSON.stringify(config, null, 2));
  spawnSync('dotnet', ['stryker', '--config-file', file, '--output', out, '--skip-version-check'], {
    cwd: tests,
    // A run takes from minutes to over an hour: a dot for every change that was tried shows how far it is.
    stdio: ['ignore', 'inherit', 'inherit'],
    // Read by the project of the tests: it then runs them as this tool wants, and draws fewer cases of what is drawn by chance.
    // What lives for seconds doesn't pay for being measured so as to be compiled better, nor for its memory being cleared often.
    env: { ...process.env, MUTANTS: 'yes', DOTNET_TieredPGO: '0', DOTNET_GCgen0size: '10000000' },
  });
  const report = join(out, 'reports', 'mutation-report.json');
  if (!existsSync(report)) stop('no report came of it.');
  return JSON.parse(readFileSync(report, 'utf8'));
}

// The tool runs the tests for one change after another in one process, which keeps what was made once for good (tables of words, the small
// flora): a change to those goes unnoticed there. So what was not noticed, and what did not end, is made again one by one, in a copy, and the
// tests run as ./test runs them.
function again({ files }) {
  const open = Object.entries(files).flatMap(([file, { mutants }]) =>
    mutants.filter(({ status }) => status === 'Timeout' || status === 'Survived').map(mutant => ({ file, mutant })));
  if (!open.length) return;
  console.log(`\n${open.length} changes were not noticed or did not end; each is made again by itself`);
  const copy = copyOfTests();
  const tested = time(() => tryCopy(copy, 600000));
  if (tested.status !== 'Survived') stop('the tests fail in a copy with nothing changed, which says nothing of a change.');
  for (const { file, mutant } of open) {
    const place = join(copy, relative(root, file));
    const source = readFileSync(place, 'utf8');
    writeFileSync(place, changed(source, mutant));
    mutant.status = tryCopy(copy, 5 * tested.milliseconds);
    writeFileSync(place, source);
    console.log(`${relative(root, file)}:${mutant.location.start.line}  ${mutant.status}`);
  }
}

function copyOfTests() {
  const copy = join(root, '.run', 'mutants', 'copy');
  for (const part of [...readdirSync(root).filter(name => /^(Directory\..*|global\.json|\.editorconfig|.*\.slnx)$/.test(name)), relative(root, core), relative(root, tests),
    join('tests', 'VerdantSieve.Flora.Tests', 'Speech'), 'docs'])
    cpSync(join(root, part), join(copy, part), { recursive: true, filter: name => !['bin', 'obj'].includes(basename(name)) });
  return copy;
}

// "Survived" where every test passes, "Killed" where one fails, "Timeout" where they don't end, "CompileError" where it is no program.
function tryCopy(copy, limit) {
  const run = (...args) => spawnSync('dotnet', args, { cwd: copy, stdio: 'ignore', timeout: limit, killSignal: 'SIGKILL', env: { ...process.env, DOTNET_TieredPGO: '0' } });
  const project = relative(root, tests);
  if (run('build', project, '-c', 'Release', '-v', 'quiet').status !== 0) return 'CompileError';
  const ran = run(join(project, 'bin', 'Release', 'net10.0', `${basename(tests)}.dll`), '-noColor', '-noLogo', '-stopOnFail');
  return ran.error?.code === 'ETIMEDOUT' ? 'Timeout' : ran.status === 0 ? 'Survived' : 'Killed';
}

function time(work) {
  const from = performance.now();
  const status = work();
  return { status, milliseconds: Math.ceil(performance.now() - from) };
}

// Lines and columns of the report count from 1.
function changed(source, { location: { start, end }, replacement }) {
  const lines = source.split('\n');
  const at = ({ line, column }) => lines.slice(0, line - 1).reduce((sum, before) => sum + before.length + 1, 0) + column - 1;
  return source.slice(0, at(start)) + replacement + source.slice(at(end));
}

function report(folder) {
  const count = { Killed: 0, Timeout: 0, Survived: 0, NoCoverage: 0 };
  const survivors = [];
  for (const [file, { mutants, source }] of Object.entries(result.files)) {
    if (!file.includes(`/VerdantSieve.Core/${folder}/`)) continue;
    for (const mutant of mutants) {
      if (!(mutant.status in count)) continue;
      count[mutant.status]++;
      if (mutant.status === 'Killed' || mutant.status === 'Timeout') continue;
      const line = mutant.location.start.line;
      survivors.push(`${relative(root, file)}:${line}  ${mutant.mutatorName}\n    ${source.split('\n')[line - 1].trim()}\n    → ${mutant.replacement}`);
    }
  }
  const noticed = count.Killed + count.Timeout;
  const all = noticed + count.Survived + count.NoCoverage;
  writeFileSync(join(root, '.run', 'mutants', `${folder}.txt`), survivors.join('\n') + '\n');
  const late = count.Timeout ? `, ${count.Timeout} of them since the tests did not end` : '';
  console.log(`${folder}: ${noticed} of ${all} noticed, ${all ? Math.round((100 * noticed) / all) : 100} %${late}`);
}

// The whole folder, or so many of its places.
function patterns(folder) {
  if (!sample) return [`**/${folder}/**/*.cs`];
  const places = shuffled(filesOf(join(core, folder)).flatMap(placesOf)).slice(0, Math.ceil(sample / PER_PLACE));
  const byFile = new Map(places.map(({ file }) => [file, places.filter(place => place.file === file)]));
  return [...byFile].map(([file, spans]) => `${relative(core, file)}${spans.map(span => `{${span.from}..${span.to}}`).join('')}`);
}

function filesOf(folder) {
  return readdirSync(folder, { recursive: true }).filter(name => name.endsWith('.cs')).sort().map(name => join(folder, name));
}

// Lines with something to change: a comparison, a sum, a condition, a choice, a call on a collection.
function placesOf(file) {
  const places = [];
  let from = 0;
  for (const line of readFileSync(file, 'utf8').split('\n')) {
    const code = line.trim();
    const hasSomething = /[<>=!]=|&&|\|\||[^=]> |< |[-+*/] |\? |!\w|\b(true|false)\b|\.(All|Any|Min|Max|Sum|First|Last|Order|OrderBy|OrderByDescending|Take|Skip|Where|Distinct|Concat|Union|Count)\w*\(|\?\?/.test(code);
    if (hasSomething && !/^(\/\/|using |namespace |\[|public sealed (class|record)|internal sealed (class|record)|private const)/.test(code))
      places.push({ file, from, to: from + line.length });
    from += line.length + 1;
  }
  return places;
}

// The same order for the same places (mulberry32 and Fisher and Yates).
function shuffled(items) {
  let seed = 20261126;
  const random = () => {
    seed = (seed + 0x6d2b79f5) | 0;
    let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  for (let i = items.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [items[i], items[j]] = [items[j], items[i]];
  }
  return items;
}

function stop(sentence) {
  console.error(`Can’t go on: ${sentence}`);
  process.exit(1);
}
