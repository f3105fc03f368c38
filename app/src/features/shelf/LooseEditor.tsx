import { type DisplayUnits, formatFigure } from '@zt/core/base/units/length';
import type { LooseSheets } from '@zt/core/model/shelf';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { sides } from '../../components/figures';
import { UndoBar } from '../../components/UndoBar';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

/** Pixels to a millimetre: the usual sheet fits a phone three times over. */
const SCALE = 0.3;
const MOST_PX = 300;
const px = (mm: number): number => Math.min(MOST_PX, Math.max(20, mm * SCALE));

/** Sheets of one size as they lie in the drawer, to one scale with the others. */
function Pile({
  sheets,
  units,
  open,
  onPress,
}: {
  sheets: LooseSheets;
  units: DisplayUnits;
  open: boolean;
  onPress: () => void;
}) {
  const p = usePalette();
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      aria-label={`${sheets.count} of ${sides(sheets, units)}`}
      onPress={onPress}
      style={{ alignItems: 'center', gap: 2, minWidth: 60, minHeight: 60, justifyContent: 'flex-end' }}
    >
      <View
        style={{
          width: px(sheets.widthMm),
          height: px(sheets.heightMm),
          borderWidth: open ? 3 : 1.5,
          borderColor: p.ink,
          backgroundColor: p.panel,
          alignItems: 'center',
          justifyContent: 'center',
        }}
      >
        <Txt as="strong">{`× ${sheets.count}`}</Txt>
      </View>
      <Txt as="small">{`${formatFigure(sheets.widthMm, units)} × ${formatFigure(sheets.heightMm, units)}`}</Txt>
    </Pressable>
  );
}

interface LooseEditorProps {
  loose: readonly LooseSheets[];
  units: DisplayUnits;
  onLoose: (loose: LooseSheets[]) => void;
}

const SIDES = [
  { id: 'widthMm', label: 'sheet, width' },
  { id: 'heightMm', label: 'sheet, height' },
] as const;
const NEW_SHEETS: LooseSheets = { widthMm: 200, heightMm: 200, count: 1 };

/** Sheets bought to size and offcuts, drawn to scale; a tap on one opens its figures. */
export function LooseEditor({ loose, units, onLoose }: LooseEditorProps) {
  const [open, setOpen] = useState<number | null>(null);
  const [usedUp, setUsedUp] = useState<LooseSheets | null>(null);
  const sheets = open === null ? undefined : loose[open];
  const put = (change: Partial<LooseSheets>) =>
    onLoose(loose.map((was, i) => (i === open ? { ...was, ...change } : was)));
  return (
    <Stack gap={8}>
      <Txt as="label" tone="graphite">
        Sheets and offcuts, used before the roll
      </Txt>
      <Row gap={12} align="end" wrap>
        {loose.map((each, i) => (
          <Pile
            key={i}
            sheets={each}
            units={units}
            open={open === i}
            onPress={() => setOpen(open === i ? null : i)}
          />
        ))}
        <Press
          title="Add sheets"
          label="Add sheets of one size"
          onPress={() => {
            onLoose([...loose, NEW_SHEETS]);
            setOpen(loose.length);
          }}
        />
      </Row>
      {usedUp ? (
        <UndoBar
          text={`${sides(usedUp, units)}: used up.`}
          onPutBack={() => {
            onLoose([...loose, usedUp]);
            setUsedUp(null);
          }}
        />
      ) : null}
      {sheets ? (
        <Stack key={open} gap={8}>
          {SIDES.map(({ id, label }) => (
            <LengthField
              key={id}
              label={label}
              at={`loose.${open}.${id}`}
              mm={sheets[id]}
              onLength={(mm) => put({ [id]: mm })}
            />
          ))}
          <NumberField
            label="how many"
            at={`loose.${open}.count`}
            value={sheets.count}
            onNumber={(count) => put({ count })}
          />
          <Press
            kind="link"
            title="These are used up"
            onPress={() => {
              onLoose(loose.filter((_, i) => i !== open));
              setUsedUp(sheets);
              setOpen(null);
            }}
          />
        </Stack>
      ) : null}
    </Stack>
  );
}
