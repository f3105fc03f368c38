import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { HOOPED_TEE } from '../../testing/pieceConditions';
import { likePieces, tableOf } from './likeness';
import { evidenceOf } from './likeThis';
import { NO_RISK, type PieceRecord } from './pieceRecord';

const RULES = DEFAULT_HOUSE_RULES;
const TEE = HOOPED_TEE;
const piece = (id: number, rest: Partial<PieceRecord> = {}): PieceRecord => ({
  ...TEE,
  id: `entry-${id}`,
  loggedAt: `2026-01-0${id}T00:00:00.000Z`,
  name: '',
  pieces: 1,
  who: '',
  faults: {},
  risks: NO_RISK,
  ...rest,
});
const said = (records: readonly PieceRecord[]) => {
  const evidence = evidenceOf(TEE, likePieces(TEE, tableOf(records), { rules: RULES, most: 50 }), RULES);
  return evidence && say(evidence.text, { system: 'mm' });
};

it('counts pieces that were alike, and says what the bad one alone had', () => {
  const clean = [1, 2, 3].map((id) => piece(id, { pieces: 2 }));
  const floated = piece(4, { method: 'floated', faults: { puckering: 1 } });
  expect(said([...clean, floated])).toBe('7 like this: 6 clean, 1 with puckering, the one that was floated.');
});

it('blames nothing that a clean piece had too', () => {
  const records = [
    piece(1),
    piece(2, { method: 'floated' }),
    piece(3, { method: 'floated', faults: { puckering: 2, gaps: 1 } }),
    piece(4, { method: 'floated', faults: { puckering: 1 } }),
    piece(5),
  ];
  expect(said(records)).toBe('5 like this: 3 clean, 2 with puckering, 1 with gaps, outline off.');
});

it('names what all bad ones share', () => {
  const denser = [4, 5].map((id) => piece(id, { rank: 4, faults: { puckering: 1 } }));
  expect(said([piece(1), piece(2), piece(3), ...denser])).toBe(
    '5 like this: 3 clean, 2 with puckering, all with a denser design.',
  );
});

it('says nothing of few pieces, nor of pieces that are not alike', () => {
  expect(said([1, 2, 3, 4].map((id) => piece(id)))).toBeNull();
  const other = { fabricId: 'terry', structure: 'pile', pileMm: 4, stretchPercent: 0 } as const;
  expect(said([1, 2, 3, 4, 5, 6].map((id) => piece(id, other)))).toBeNull();
});
