import { say } from '@zt/core/base/units/phrase';
import { FACES } from '@zt/core/catalogue/faces';
import { ALIGNMENTS, BASELINES, FRAMES, type Lettering } from '@zt/core/model/ticket/lettering';
import type { Part } from '@zt/core/model/ticket/part';
import { lettersKey, lettersToSet } from '@zt/core/stages/design/lettering/lettersKey';
import { namePartOf } from '@zt/core/stages/design/names/onTable';
import { wreathed } from '@zt/core/stages/design/parts/acts';
import { drawnPart, nameOfPart } from '@zt/core/stages/design/parts/drawnPart';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { Suspense } from 'react';
import { Callout } from '../../components/ui/Callout';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { newId } from '../../hooks/newId';
import { useRules, useTicket, useUnits } from '../../hooks/useTicket';
import { useAppSelector } from '../../store/store';
import { FieldFindings } from '../FieldFindings';
import { DrawnClothFields } from './DrawnFields';
import { FaceSample } from './FaceSample';
import { useParts } from './useParts';

const nameOf = <T extends string>(id: T) => ({ id, name: id });

interface LettersProps {
  part: Part;
  letters: Lettering;
  index: number;
}

/** Why these letters cannot be set, and the typefaces that could. */
function Unset({ part, onFace }: { part: Part; onFace: (face: Lettering['face']) => void }) {
  const why = useAppSelector((state) => state.editor.unset[part.id]);
  const rules = useRules();
  const units = useUnits();
  const letters = lettersToSet(part);
  if (!why || !letters || why.of !== lettersKey(letters, stitchFigures(rules))) return null;
  return (
    <Callout tone="madder" grave role="alert">
      <Txt as="strong">{say(why.message, units)}</Txt>
      <Txt as="small">The letters stay as they were last set.</Txt>
      {why.inFaces.length > 0 ? (
        <Row wrap>
          {why.inFaces.map((face) => (
            <Press key={face} title={`Set in ${face}`} onPress={() => onFace(face)} />
          ))}
        </Row>
      ) : null}
    </Callout>
  );
}

/** A wreath of one of the other parts round a monogram. */
function Wreaths({ round }: { round: Part }) {
  const { parts, putChosen } = useParts();
  // How large it is is known once its letters are set.
  if (!drawnPart(round)) return null;
  const leaves = parts.filter((other) => other.id !== round.id && other.letters === null && drawnPart(other));
  if (leaves.length === 0)
    return (
      <Txt as="small" tone="graphite">
        Add a drawing, a leaf perhaps, and it can go round it as a wreath.
      </Txt>
    );
  // Of copies that stand there already one is enough to choose.
  const each = leaves.filter((one, i) => leaves.findIndex((other) => other.artwork === one.artwork) === i);
  return (
    <Row wrap>
      {each.map((leaf) => (
        <Press
          key={leaf.id}
          title={`A wreath of “${nameOfPart(leaf)}”`}
          onPress={() => putChosen(wreathed(parts, { round: round.id, of: leaf.id }, newId))}
        />
      ))}
    </Row>
  );
}

/** What the letters say, and in which typeface. */
export function LettersFields({ part, letters, index }: LettersProps) {
  const { set } = useParts();
  const at = (field: string) => `design.parts.${index}.letters.${field}`;
  const put = (change: Partial<Lettering>, gesture?: string) =>
    set(part.id, { letters: { ...letters, ...change } }, gesture);
  const scale = part.scalePercent / 100;
  const hasNames = namePartOf(useTicket('design').design)?.id === part.id;
  return (
    <Stack gap={10}>
      {hasNames ? null : (
        <WordsField
          label={letters.monogram ? 'letters of the monogram' : 'letters'}
          at={at('text')}
          value={letters.text}
          onText={(text) => put({ text })}
          multiline={!letters.monogram}
          placeholder={letters.monogram ? 'one to three' : 'a name, a word; Enter for a new line'}
        />
      )}
      <FieldFindings field={`parts.${index}.letters.text`} except={['design-letters-unset']} />
      <Unset part={part} onFace={(face) => put({ face })} />
      <FaceSample text={letters.text} chosen={letters.face} faces={FACES} onFace={(face) => put({ face })} />
      <LengthField
        label="height of a capital"
        at={at('capMm')}
        mm={letters.capMm * scale}
        onLength={(capMm) => set(part.id, { letters: { ...letters, capMm }, scalePercent: 100 })}
      />
      {letters.monogram ? (
        <Choice
          label="Round it"
          small
          options={FRAMES.map((id) => ({ id, name: id === 'none' ? 'nothing' : `a ${id}` }))}
          chosen={letters.monogram.frame}
          onChoose={(frame) => put({ monogram: { frame } })}
        />
      ) : (
        <Choice
          label="Standing on"
          small
          options={BASELINES.map((id) => ({ id, name: `a ${id}`.replace('a arch', 'an arch') }))}
          chosen={letters.baseline}
          onChoose={(baseline) => put({ baseline })}
        />
      )}
      {letters.monogram ? <Wreaths round={part} /> : null}
      {letters.baseline === 'line' || letters.monogram ? null : (
        <LengthField
          label="radius"
          at={at('radiusMm')}
          mm={letters.radiusMm}
          onLength={(radiusMm) => put({ radiusMm })}
        />
      )}
      <Suspense fallback={null}>
        <DrawnClothFields part={part} index={index} />
      </Suspense>
      <Disclosure title="Spacing and lines">
        <SidedLengthField
          label="between letters"
          at={at('spacingMm')}
          mm={letters.spacingMm}
          sides={['closer', 'wider']}
          onLength={(spacingMm) => put({ spacingMm })}
        />
        <NumberField
          label="line to line, % of a capital"
          at={at('linePercent')}
          value={letters.linePercent}
          onNumber={(linePercent) => put({ linePercent })}
        />
        <Choice
          label="Lines begin"
          small
          options={ALIGNMENTS.map(nameOf)}
          chosen={letters.align}
          onChoose={(align) => put({ align })}
        />
      </Disclosure>
    </Stack>
  );
}
