import { randomLcg } from 'd3-random';
import { casesOf } from '../../../testing/cases';
import { drawnAtRandom, exactSolver, fewestByProgram } from '../../../testing/exactOrder';
import { colourOrder } from './colourOrder';

const CASES = casesOf(50, 15);

it(`equals an exact solver on ${CASES} cases of up to 24 blocks`, async () => {
  const highs = await exactSolver();
  const random = randomLcg(0.2611);
  for (let n = 0; n < CASES; n++) {
    const given = drawnAtRandom(random, 10 + (n % 15), 2 + (n % 5));
    const { runs, bound } = colourOrder(given);
    expect([n, bound, fewestByProgram(highs, given, runs)]).toEqual([n, runs, runs]);
  }
});
