import type { Used } from '../../model/ticket/log';
import { exampleA, sheet } from '../../testing/samples';
import { asUsed } from './asUsed';

const used = (what: Partial<Used>) => {
  const ticket = exampleA();
  return asUsed({ ...ticket, log: { ...ticket.log, used: { ...ticket.log.used, ...what } } });
};

it('what was used stands in place of what was planned, the rest as it was', () => {
  const sheets = [sheet('mesh')];
  const made = used({ method: 'floated', hoopId: 'hoop-130x180', sheets, needle: '90' });
  expect(made.hoop).toMatchObject({ method: 'floated', hoopId: 'hoop-130x180' });
  expect(made.layers.support?.sheets).toEqual(sheets);
  expect(made.layers.choices).toMatchObject({ needle: { choice: '90' } });
  expect(made.layers.choices.topper).toBeUndefined();
});

it('nothing said, nothing changed; partly hooped is as planned', () => {
  expect(used({})).toEqual(exampleA());
  expect(used({ method: 'partly' }).hoop).toEqual(exampleA().hoop);
});
