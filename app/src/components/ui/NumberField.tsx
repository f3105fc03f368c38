import { useDraft } from './fields';
import { TextField } from './TextField';

interface NumberFieldProps {
  label: string;
  /** The path of the field in what is saved. */
  at: string;
  value: number | null;
  /** A number that was read, within the bounds of the schema. */
  onNumber: (value: number) => void;
  hint?: string | undefined;
  grow?: boolean;
}

/** A plain number; emptied, it is not known, or the usual one. */
export function NumberField({ label, at, value, onNumber, hint, grow = false }: NumberFieldProps) {
  const draft = useDraft({
    at,
    isLength: false,
    shown: value === null ? '' : String(value),
    onValue: (read) => onNumber(Number(read)),
  });
  return <TextField label={label} {...draft.line} hint={hint} keyboard="decimal" grow={grow} />;
}
