import { moneyInField, USUAL_CURRENCY } from '@zt/core/base/units/money';
import { useDraft, useFields } from './fields';
import { TextField } from './TextField';

interface MoneyFieldProps {
  label: string;
  /** The path of the field in what is saved. */
  at: string;
  /** In the smallest coin; null while nobody has said. */
  minor: number | null;
  onMoney: (minor: number) => void;
  hint?: string | undefined;
  grow?: boolean;
}

/** An amount in the shop's currency, which stands in its label. */
export function MoneyField({ label, at, minor, onMoney, hint, grow = false }: MoneyFieldProps) {
  const { units } = useFields();
  const currency = units.currency ?? USUAL_CURRENCY;
  const draft = useDraft({
    at,
    shown: minor === null ? '' : moneyInField(minor, currency),
    onValue: (read) => onMoney(Number(read)),
  });
  return (
    <TextField label={`${label}, ${currency}`} {...draft.line} hint={hint} keyboard="decimal" grow={grow} />
  );
}
