import { formatLength, stepOf } from '@zt/core/base/units/length';
import { useEffect, useRef, useState } from 'react';
import { type TextInput, View } from 'react-native';
import { useLow, useWide } from '../../theme/layout';
import { type Draft, useDraft, useFields } from './fields';
import { useKeypad } from './inHand';
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

/** Lends a length to the tape keypad while it is in the hand of whoever touches it. */
function useTapeKeypad(label: string, { line, reading }: Draft) {
  const { units } = useFields();
  const lend = useKeypad();
  /** Where there is little height and no width either it would cover all. */
  const [low, wide] = [useLow(), useWide()];
  const noRoom = low && !wide;
  const input = useRef<TextInput>(null);
  /** Touched: then the keypad takes the place of the device's own keys, which stay for all others. */
  const [isByTouch, setIsByTouch] = useState(false);
  /** Only then the keypad comes: the finger would be lifted from a key of it. */
  const [isLifted, setIsLifted] = useState(false);
  const [isFocused, setIsFocused] = useState(false);
  const { value, onText, error } = line;
  const text = reading === null ? '' : value;
  // Two keys may come before what the first one changed is drawn.
  const now = useRef({ text, onText });
  now.current = { text, onText };
  const isLent = isByTouch && isLifted && isFocused;
  useEffect(() => {
    if (!isLent) return;
    lend({
      label,
      text,
      why: error ?? null,
      units,
      onKey: (changed) => {
        now.current.text = changed(now.current.text);
        now.current.onText(now.current.text);
      },
      onDone: () => input.current?.blur(),
      onLetters: () => setIsByTouch(false),
    });
  }, [isLent, lend, label, text, error, units]);
  useEffect(() => {
    if (isLent) return () => lend(null);
    return undefined;
  }, [isLent, lend]);
  return {
    isByTouch,
    inputRef: input,
    onTouch: () => {
      setIsByTouch(!noRoom);
      if (!isByTouch) setIsLifted(false);
    },
    onLift: () => setIsLifted(true),
    onFocused: (focused: boolean) => {
      setIsFocused(focused);
      if (!focused) setIsByTouch(false);
    },
  };
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
  const { isByTouch, ...touched } = useTapeKeypad(label, draft);
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
        keyboard={isByTouch ? 'none' : 'text'}
        {...touched}
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
