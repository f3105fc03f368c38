import { piecesOf } from '@zt/core/model/pieces';
import { MOST_OTHERS, NOT_MEASURED, type OtherPiece } from '@zt/core/model/ticket/log';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { Choice } from '../../components/ui/Choice';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { useTicket, useTicketActs } from '../../hooks/useTicket';

/** Which pieces of a run are spoken of: all that came out alike, or one that did not. */
export function WhichPiece({ which, onWhich }: { which: number; onWhich: (which: number) => void }) {
  const ticket = useTicket('log', 'piece', 'design');
  const { change } = useTicketActs();
  const pieces = piecesOf(ticket);
  const { others } = ticket.log;
  const names = ticket.design.names?.rows ?? [];
  const nameOf = (piece: number): string => {
    const row = names[piece - 1];
    return row ? calledName(row) : `no. ${piece}`;
  };
  const free = Array.from({ length: pieces }, (_, i) => i + 1).find(
    (piece) => !others.some((other) => other.piece === piece),
  );
  const add = (piece: number) => {
    const other: OtherPiece = { piece, faults: {}, spots: [], off: NOT_MEASURED, note: '' };
    change({ stage: 'log', set: { others: [...others, other] } });
    onWhich(piece);
  };
  return (
    <Stack gap={6}>
      <Choice
        label={`Which of the ${pieces} pieces`}
        small
        options={[
          { id: '0', name: others.length === 0 ? 'all alike' : `the other ${pieces - others.length}` },
          ...others.map(({ piece }) => ({ id: String(piece), name: nameOf(piece) })),
        ]}
        chosen={String(which)}
        onChoose={(id) => onWhich(Number(id))}
      />
      {free !== undefined && others.length < MOST_OTHERS ? (
        <Row gap={8} align="middle" wrap>
          <Press kind="link" title="one came out otherwise" onPress={() => add(free)} />
        </Row>
      ) : null}
      {which > 0 ? <OtherFields which={which} onWhich={onWhich} nameOf={nameOf} pieces={pieces} /> : null}
    </Stack>
  );
}

interface OtherFieldsProps {
  which: number;
  onWhich: (which: number) => void;
  nameOf: (piece: number) => string;
  pieces: number;
}

/** Which piece it is that came out otherwise, and what is to be said of it. */
function OtherFields({ which, onWhich, nameOf, pieces }: OtherFieldsProps) {
  const { log } = useTicket('log');
  const { change } = useTicketActs();
  const at = log.others.findIndex(({ piece }) => piece === which);
  const other = log.others[at];
  if (!other) return null;
  const set = (next: OtherPiece | null) =>
    change({
      stage: 'log',
      set: { others: log.others.flatMap((one, i) => (i === at ? (next ? [next] : []) : [one])) },
    });
  const to = (piece: number) => {
    set({ ...other, piece });
    onWhich(piece);
  };
  const isFree = (piece: number) => !log.others.some((one) => one.piece === piece);
  const next = Array.from({ length: pieces }, (_, i) => ((which + i) % pieces) + 1).find(isFree);
  return (
    <Row gap={12} align="middle" wrap>
      {next ? <Press kind="link" title={`it is ${nameOf(next)}`} onPress={() => to(next)} /> : null}
      <Press
        kind="link"
        title="it came out like the others"
        onPress={() => {
          set(null);
          onWhich(0);
        }}
      />
    </Row>
  );
}
