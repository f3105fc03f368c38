import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { type Applique, type AppliqueStep, USUAL_APPLIQUE } from '../../model/ticket/applique';
import { clothWork } from './clothWork';

const workOf = (step: AppliqueStep, rest: Partial<Applique> = {}, shapes = 3) => {
  const work = clothWork({ step, of: { ...USUAL_APPLIQUE, stop: 0, ...rest }, shapes }, DEFAULT_HOUSE_RULES);
  return work && { ...work, what: say(work.what, { system: 'mm' }), how: say(work.how, { system: 'mm' }) };
};

it('cloth is laid once its line is stitched, each way as it must be', () => {
  expect(workOf('placement')).toMatchObject({ id: 'lay', minutes: 0.75, what: 'lay the cotton on its line' });
  expect(workOf('placement')?.how).toMatch(
    /^Peel the paper off the web\. Lay every piece web down, even all round its line\./,
  );
  expect(workOf('placement', { cloth: { ...USUAL_APPLIQUE.cloth, fused: false } })?.how).toMatch(
    /adhesive holds it\.$/,
  );
  expect(workOf('placement', { way: 'trimmed' })?.how).toBe(
    'Right side up, flat, at least 10 mm past the line all round.',
  );
  expect(workOf('placement', { way: 'turned' })?.how).toMatch(/the fold on the line\.$/);
  expect(workOf('placement', { cloth: { ...USUAL_APPLIQUE.cloth, name: ' ' } })?.what).toBe(
    'lay the cloth on its line',
  );
});

it('it is trimmed once tacked down where it is cut in the hoop, shape by shape, and nowhere else', () => {
  expect(workOf('tackDown', { way: 'trimmed' })).toMatchObject({ id: 'trim', minutes: 3 });
  for (const way of ['preCut', 'rawEdge', 'turned'] as const) expect(workOf('tackDown', { way })).toBeNull();
  expect(workOf('edge', { way: 'trimmed' })).toBeNull();
  expect(clothWork(null, DEFAULT_HOUSE_RULES)).toBeNull();
});
