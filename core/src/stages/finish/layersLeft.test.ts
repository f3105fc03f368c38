import { STABILIZERS } from '../../catalogue/materials';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { planTicket } from '../../planner/plan';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';
import { layersLeft } from './layersLeft';

const PLANS = PIECE_KIND_IDS.flatMap((kind) => {
  const ticket = measuredTicket(kind, PIECE_KINDS[kind].placements[0].id, [60, 40]);
  const plan = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  return plan.layers && plan.finish ? [{ kind, layers: plan.layers, steps: plan.finish.steps }] : [];
});

it('loses a layer with each step that takes one, and never the cloth', () => {
  expect(PLANS.length).toBeGreaterThan(8);
  for (const { layers, steps } of PLANS) {
    let before = layersLeft(layers, []).length;
    expect(before).toBe(layers.stack.length);
    const done: string[] = [];
    for (const { id } of steps) {
      done.push(id);
      const left = layersLeft(layers, done);
      expect(left.length).toBeLessThanOrEqual(before);
      // What dissolves is torn first, and gone once it was soaked.
      const takes = layers.sheets.some(({ stabilizer }) => STABILIZERS[stabilizer].family === 'tear-away');
      if (id === 'soak' || (id === 'tear-away' && takes)) expect(left.length).toBeLessThan(before);
      before = left.length;
    }
    const left = layersLeft(layers, done);
    expect(left.some(({ role }) => role === 'cloth')).toBe(layers.stack.some(({ role }) => role === 'cloth'));
    expect(left.some(({ clamped }) => clamped)).toBe(false);
    // What is left at the end is the cloth with what stays in it.
    for (const { sheet, role } of left)
      if (role === 'sheet')
        expect(['cut-away', 'mesh', 'mesh-fusible', 'interfacing']).toContain(sheet?.stabilizer);
  }
});
