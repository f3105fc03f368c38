import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { filesUnder, ROOT } from './lib.mjs';

/** How many cases a test goes through: all, and those of every run. */
const CASES = /casesOf\((\d[\d_]*), (\d[\d_]*)\)/g;
const WHOLE = /itInLong\('([^']+)'/g;
const SOME = /someOf\((\w+), (\d+)\)/g;
/** Browser tests that run there alone, by their titles; some only at the wide size. */
const DEEP = /'([^'\n]+)',\s*\{\s*tag: (?:'(@deep|@wide-deep)'|\[[^\]]*'(@deep)'\])/g;
const IS_TEST = /(\.long\.test\.tsx?|\.spec\.ts)$/;

/** Each test that enumerates, with how many cases it goes through in the long run and in every run. */
export function listOfLong() {
  return ['core/src', 'server/src', 'app/src', 'e2e']
    .flatMap((folder) => filesUnder(join(ROOT, folder)))
    .filter((file) => IS_TEST.test(file))
    .flatMap((file) => {
      const text = readFileSync(file, 'utf8');
      const counts = [
        ...[...text.matchAll(CASES)].map(([, all, few]) => `${all} for ${few}`.replaceAll('_', ' ')),
        ...[...text.matchAll(WHOLE)].map(([, name]) => `“${name}”`),
        ...[...text.matchAll(DEEP)].map(
          ([, name, tag]) => `“${name}”${tag === '@wide-deep' ? ', wide' : ''}`,
        ),
        ...[...text.matchAll(SOME)].map(([, what, one]) => `all ${what} for one of ${one}`),
      ];
      return counts.length > 0 ? [`${relative(ROOT, file)}: ${counts.join(', ')}`] : [];
    })
    .join('\n');
}
