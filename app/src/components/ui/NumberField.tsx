import { useState } from 'react';
import { TextField } from './TextField';

interface NumberFieldProps {
  label: string;
  value: number | null;
  onNumber: (value: number | null) => void;
  hint?: string;
  least?: number;
  most?: number;
  whole?: boolean;
  grow?: boolean;
}

/** A plain number; empty is not known. What cannot be one says so and changes nothing. */
export function NumberField({
  label,
  value,
  onNumber,
  hint,
  least = 0,
  most = 1_000_000,
  whole = false,
  grow = false,
}: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const read = (text: string) => {
    setTyped(text);
    const plain = text.replace(/\s/g, '').replace(',', '.');
    const number = Number(plain);
    if (plain === '') {
      setError(null);
      onNumber(null);
    } else if (
      !Number.isFinite(number) ||
      number < least ||
      number > most ||
      (whole && !Number.isInteger(number))
    ) {
      setError(
        `${label}: a ${whole ? 'whole ' : ''}number from ${least} to ${most}. “${text}” was not taken.`,
      );
    } else {
      setError(null);
      onNumber(number);
    }
  };
  return (
    <TextField
      label={label}
      value={typed ?? (value === null ? '' : String(value))}
      onText={read}
      onDone={() => error === null && setTyped(null)}
      error={error}
      hint={hint}
      keyboard="decimal"
      grow={grow}
    />
  );
}
