import { formatLength, stepOf } from '@zt/core';
import { View } from 'react-native';
import { useDraft, useFields } from './fields';
import { Press } from './Press';
import { Row } from './Row';
import { TextField } from './TextField';

export interface LengthFieldProps {
  label: string;
  /** The path of the field in what is saved. */
  at: string;
  mm: number | null;
  /** A length that was read, mm, within the bounds of the schema. */
  onLength: (mm: number) => void;
  onSubmit?: () => void;
  autoFocus?: boolean;
  large?: boolean;
  hint?: string;
  stepper?: boolean;
}

/** A length: takes fractions, inches and millimetres mixed, and shows how it understood them. */
export function LengthField({
  label,
  at,
  mm,
  onLength,
  onSubmit,
  autoFocus,
  large = false,
  hint,
  stepper = true,
}: LengthFieldProps) {
  const { units } = useFields();
  const draft = useDraft({
    at,
    isLength: true,
    shown: mm === null ? '' : formatLength(mm, units),
    onValue: (value) => onLength(Number(value)),
  });
  const { reading, bounds } = draft;
  const [least, most] = bounds.kind === 'number' ? [bounds.least, bounds.most] : [0, 0];
  const step = (by: number) => {
    const next = Math.round((mm ?? 0) / stepOf(units) + by) * stepOf(units);
    draft.put(Math.min(most, Math.max(0, least, next)));
  };
  return (
    <Row gap={6} align="start">
      <TextField
        grow
        label={label}
        {...draft.line}
        {...(onSubmit ? { onSubmit } : {})}
        {...(autoFocus ? { autoFocus } : {})}
        large={large}
        hint={reading?.state === 'read' ? `understood as ${reading.understood}` : hint}
        keyboard="text"
        placeholder={units.system === 'in' ? 'in, e.g. 20 1/2' : 'mm'}
      />
      {stepper ? (
        <View style={{ flexDirection: 'row', gap: 4, marginTop: large ? 25 : 19 }}>
          <Press title="−" label={`${label}: less`} onPress={() => step(-1)} />
          <Press title="+" label={`${label}: more`} onPress={() => step(1)} />
        </View>
      ) : null}
    </Row>
  );
}
