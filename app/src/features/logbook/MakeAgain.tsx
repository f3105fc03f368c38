import { say } from '@zt/core/base/units/phrase';
import type { KeptEntry } from '@zt/core/model/api';
import { PIECE_KIND_IDS, type PieceKindId } from '@zt/core/model/pieceKindIds';
import type { Again, AgainFor } from '@zt/core/records/again/index';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { Choice } from '../../components/ui/Choice';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { againParts } from '../../shop/again';
import { useShop } from '../../shop/useShop';
import { ticketStarted } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

type Way = AgainFor['as'];
const WAYS: readonly { id: Way; name: string }[] = [
  { id: 'same', name: 'just as it was' },
  { id: 'size', name: 'in another size' },
  { id: 'kind', name: 'on another piece' },
];

/** The sizes that an entry's piece could be made in: those of its order, and blanks of its kind on the shelf. */
function useSizes({ ticket: { piece } }: KeptEntry) {
  const { shelf } = useShop();
  return useMemo(() => {
    const blanks = shelf.blanks.filter(({ kind }) => kind === piece.kind);
    const all = [...piece.sizes, ...blanks].filter(({ readings }) => Object.keys(readings).length > 0);
    return all.filter(({ name }, i) => all.findIndex((other) => other.name === name) === i);
  }, [piece, shelf.blanks]);
}

/** A logged piece once more: what will be other than it was is told before it is begun. */
export function MakeAgain({ entry }: { entry: KeptEntry }) {
  const { shelf, rules, units } = useShop();
  const [way, setWay] = useState<Way>('same');
  const [kind, setKind] = useState<PieceKindId | null>(null);
  const [size, setSize] = useState<string | null>(null);
  const [id] = useState(newId);
  const sizes = useSizes(entry);
  const router = useRouter();
  const dispatch = useAppDispatch();
  const chosen = sizes.find(({ name }) => name === size) ?? sizes[0];
  const wanted: AgainFor | null =
    way === 'same'
      ? { as: 'same' }
      : way === 'size'
        ? chosen
          ? { as: 'size', name: chosen.name, readings: chosen.readings }
          : { as: 'size', name: '', readings: {} }
        : kind
          ? { as: 'kind', kind }
          : null;
  const key = JSON.stringify(wanted);
  const [made, setMade] = useState<Again | null>(null);
  useEffect(() => {
    let left = false;
    const asked = JSON.parse(key) as AgainFor | null;
    setMade(null);
    void againParts().then(({ doAgain }) => {
      if (!left && asked) setMade(doAgain(entry, { id, wanted: asked }, { shelf, rules }));
    });
    return () => {
      left = true;
    };
  }, [entry, id, key, shelf, rules]);
  const begin = () => {
    if (!made) return;
    dispatch(ticketStarted(made.ticket));
    router.push(`/ticket/${made.ticket.id}/${way === 'same' ? 'place' : 'piece'}`);
  };
  return (
    <Stack gap={10} role="group" aria-label="Make it again">
      <Txt as="heading" level={2}>
        Make it again
      </Txt>
      <Choice label="How" quiet small options={WAYS} chosen={way} onChoose={setWay} />
      {way === 'size' && sizes.length > 0 ? (
        <Choice
          label="Size"
          small
          options={sizes.map(({ name }) => ({ id: name, name }))}
          chosen={chosen?.name ?? null}
          onChoose={setSize}
        />
      ) : null}
      {way === 'size' && sizes.length === 0 ? (
        <Txt as="small">
          No other size is known: it is begun with the lengths of this one, and measured there. Blanks on the
          shelf are sizes, too.
        </Txt>
      ) : null}
      {way === 'kind' ? (
        <Choice
          label="Which piece"
          small
          options={PIECE_KIND_IDS.map((one) => ({ id: one, name: PIECE_KINDS[one].name }))}
          chosen={kind}
          onChoose={setKind}
        />
      ) : null}
      {made ? (
        <Stack gap={4}>
          {made.differences.length === 0 ? (
            <Txt live>
              It lands where the first one did: within 1 mm and half a degree, in the same hoop and layers.
            </Txt>
          ) : (
            <>
              <Txt as="label" tone="graphite">
                Other than it was
              </Txt>
              {made.differences.map(({ id: which, name, was, is }) => (
                <Txt key={which} as="small">{`${name}: ${say(was, units)}, now ${say(is, units)}`}</Txt>
              ))}
            </>
          )}
          {made.follows.map((finding) => (
            <Txt key={finding.code} as="small" tone="madder">
              {say(finding.text, units)}
            </Txt>
          ))}
        </Stack>
      ) : null}
      <Row>
        <Press kind="main" title="Begin it" disabled={made === null} onPress={begin} />
      </Row>
    </Stack>
  );
}
