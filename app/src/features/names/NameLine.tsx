import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { lettersKey } from '@zt/core/stages/design/lettering/lettersKey';
import { calledName, lettersOfRow, namePartOf } from '@zt/core/stages/design/names/onTable';
import { withPart } from '@zt/core/stages/design/parts/acts';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import type { NamePlan } from '@zt/core/table/names/nameRun';
import { withNameTaken } from '@zt/core/table/names/turn';
import { oneDigit } from '../../components/figures';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useRules, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { FieldFindings } from '../../stages/FieldFindings';
import { ticketPut } from '../../store/editor';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { NameDrawing } from './NameDrawing';
import { useNames } from './useNames';

interface NameLineProps {
  one: NamePlan;
  index: number;
  isOnTable: boolean;
  /** px to the mm, the same for all names, and the room there is. */
  scale: number;
  width: number;
}

/** Where its piece is marked, and what it takes. */
function figuresOf({ plan, acrossMm, depthMm, stitches, minutes }: NamePlan, units: DisplayUnits): string {
  const at =
    acrossMm === null || depthMm === null
      ? ''
      : `centre ${formatLength(Math.abs(acrossMm), units)} across, ${formatLength(depthMm, units)} from ${plan.place?.depthName ?? 'the landmark'}`;
  return [
    at,
    plan.hoop?.laid ? `in ${plan.hoop.laid.verdict.hoop.name}` : '',
    stitches === null ? '' : `${stitches} stitches`,
    minutes === null ? '' : `${oneDigit(minutes)} min`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** Why a name cannot be set as it is asked; null where it can. */
function useWhyUnset({ row }: NamePlan) {
  const { design } = useTicket('design');
  const why = useAppSelector((state) => state.editor.unset[row.id]);
  const rules = useRules();
  const letters = namePartOf(design)?.letters;
  const key = letters && lettersKey(lettersOfRow(letters, row), stitchFigures(rules));
  return why?.of === key ? (why ?? null) : null;
}

/** Why a name cannot be set, and the typefaces that could set all of them. */
function WhyUnset({ one }: { one: NamePlan }) {
  const { design } = useTicket('design');
  const why = useWhyUnset(one);
  const units = useUnits();
  const { change } = useTicketActs();
  const part = namePartOf(design);
  if (!why || !part?.letters) return null;
  const { letters } = part;
  return (
    <Callout tone="madder" grave role="alert">
      <Txt as="strong">{say(why.message, units)}</Txt>
      {why.inFaces.length > 0 ? (
        <Row wrap>
          {why.inFaces.map((face) => (
            <Press
              key={face}
              title={`Set all in ${face}`}
              onPress={() =>
                change({
                  stage: 'design',
                  set: { parts: withPart(design.parts, part.id, { letters: { ...letters, face } }) },
                })
              }
            />
          ))}
        </Row>
      ) : null}
    </Callout>
  );
}

/** What one name says of its own. */
function OwnFields({ one: { row }, index }: { one: NamePlan; index: number }) {
  const { piece, design } = useTicket('piece', 'design');
  const { setRow, takeOff } = useNames();
  const at = (field: string) => `design.names.rows.${index}.${field}`;
  const name = calledName(row);
  const common = namePartOf(design)?.letters?.spacingMm ?? 0;
  return (
    <Stack gap={8}>
      <WordsField
        label={`name ${index + 1}`}
        at={at('text')}
        value={row.text}
        onText={(text) => setRow(row.id, { text })}
        multiline
        hint="Enter begins a second line."
      />
      {piece.sizes.length > 0 ? (
        <Choice
          label={`Size of ${name}`}
          small
          options={[
            { id: '', name: 'this piece' },
            ...piece.sizes.map((size) => ({ id: size.name, name: size.name })),
          ]}
          chosen={row.size}
          onChoose={(size) => setRow(row.id, { size })}
        />
      ) : null}
      <SidedLengthField
        label="between its letters"
        at={at('spacingMm')}
        mm={row.spacingMm ?? common}
        sides={['closer', 'wider']}
        onLength={(spacingMm) => setRow(row.id, { spacingMm })}
      />
      <NumberField
        label="its height, % of all"
        at={at('capPercent')}
        value={row.capPercent}
        onNumber={(capPercent) => setRow(row.id, { capPercent })}
      />
      <Row wrap>
        {row.spacingMm !== null || row.capPercent !== 100 ? (
          <Press
            kind="link"
            title="As all the others"
            label={`${name} as all the others`}
            onPress={() => setRow(row.id, { spacingMm: null, capPercent: 100 })}
          />
        ) : null}
        <Press
          kind="link"
          title="Off the list"
          label={`Take ${name} off the list`}
          onPress={() => takeOff(row.id)}
        />
      </Row>
    </Stack>
  );
}

/** One name of the order: how wide it is, where it goes, whether it is made, and what would help it. */
export function NameLine({ one, index, isOnTable, scale, width }: NameLineProps) {
  const ticket = useTicket();
  const { setRow } = useNames();
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { row, set, nameMm, plan, troubles } = one;
  const why = useWhyUnset(one);
  const name = calledName(row) || `name ${index + 1}`;
  return (
    <Ruled gap={6} room={10}>
      <Stack gap={6} role="group" width={width} aria-label={name} testID="name-line">
        <NameDrawing set={set} isTooWide={one.isTooWide} scale={scale} width={width} />
        <Row align="middle" wrap>
          <Stack grow>
            <Txt as="strong" tone={one.isTooWide ? 'madder' : 'ink'}>
              {[
                name,
                row.size,
                nameMm === null ? (why ? 'not set' : 'being set') : formatLength(nameMm, units),
              ]
                .filter(Boolean)
                .join(' · ')}
            </Txt>
            <Txt as="small" tone="graphite">
              {figuresOf(one, units)}
            </Txt>
          </Stack>
          {isOnTable ? (
            <Txt as="label" tone="chalk">
              on the table
            </Txt>
          ) : (
            <Press
              title="Take it"
              label={`Take ${name} to the table`}
              onPress={() => dispatch(ticketPut(withNameTaken(ticket, row)))}
            />
          )}
        </Row>
        <FieldFindings field={`names.rows.${index}.text`} except={['design-names-unset']} />
        <WhyUnset one={one} />
        {troubles.map((text) => (
          <Txt key={say(text, units)} as="small" tone="madder">
            {say(text, units)}
          </Txt>
        ))}
        <Row wrap>
          <Tick
            title="made"
            label={`${name} is made`}
            on={row.done}
            onToggle={(done) => setRow(row.id, { done })}
          />
          {plan.place ? (
            <Disclosure title="Its marks" label={`Marks of ${name}`}>
              {plan.place.marks.map(({ text }, i) => (
                <Txt key={i} as="small">
                  {say(text, units)}
                </Txt>
              ))}
            </Disclosure>
          ) : null}
          <Disclosure title="Change it" label={`Change ${name}`}>
            <OwnFields one={one} index={index} />
          </Disclosure>
        </Row>
      </Stack>
    </Ruled>
  );
}
