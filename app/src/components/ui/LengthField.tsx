import { bareUnitOf, type DisplayUnits, formatLength, parseLength, stepOf } from '@zt/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Press } from './Press';
import { TextField } from './TextField';

export interface LengthFieldProps {
  label: string;
  mm: number | null;
  /** What was typed and could not be read, if that is how it stands. */
  unread?: string | undefined;
  units: DisplayUnits;
  /** A length that was read. */
  onLength: (mm: number) => void;
  /** Text that could not be read: kept, so that nothing typed is lost. */
  onUnread: (text: string) => void;
  onDone?: () => void;
  onSubmit?: () => void;
  autoFocus?: boolean;
  large?: boolean;
  hint?: string;
  stepper?: boolean;
}

/** A length: takes fractions, inches and millimetres mixed, and shows how it understood them. */
export function LengthField({
  label,
  mm,
  unread,
  units,
  onLength,
  onUnread,
  onDone,
  onSubmit,
  autoFocus,
  large = false,
  hint,
  stepper = true,
}: LengthFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = unread ?? (mm === null ? '' : formatLength(mm, units));
  const parsed = typed === null ? null : parseLength(typed, bareUnitOf(units));
  const error =
    parsed && !parsed.ok && parsed.code !== 'empty'
      ? parsed.message
      : unread !== undefined && typed === null
        ? `“${unread}” does not read as a length. Try 7 1/2 in or 190 mm.`
        : null;
  const read = (text: string) => {
    setTyped(text);
    const result = parseLength(text, bareUnitOf(units));
    if (result.ok) onLength(result.mm);
    else onUnread(text);
  };
  const step = (by: number) => {
    const next = Math.max(0, Math.round((mm ?? 0) / stepOf(units) + by) * stepOf(units));
    setTyped(null);
    onLength(next);
  };
  return (
    <View style={{ flexDirection: 'row', gap: 6, alignItems: 'flex-start' }}>
      <TextField
        grow
        label={label}
        value={typed ?? shown}
        onText={read}
        onDone={() => {
          setTyped(null);
          onDone?.();
        }}
        {...(onSubmit ? { onSubmit } : {})}
        {...(autoFocus ? { autoFocus } : {})}
        large={large}
        error={error}
        hint={parsed?.ok ? `understood as ${parsed.understood}` : hint}
        keyboard="text"
        placeholder={units.system === 'in' ? 'in, e.g. 20 1/2' : 'mm'}
      />
      {stepper ? (
        <View style={{ flexDirection: 'row', gap: 4, marginTop: large ? 25 : 19 }}>
          <Press title="−" label={`${label}: less`} onPress={() => step(-1)} />
          <Press title="+" label={`${label}: more`} onPress={() => step(1)} />
        </View>
      ) : null}
    </View>
  );
}
