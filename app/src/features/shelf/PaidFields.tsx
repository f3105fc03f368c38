import type { Paid } from '@zt/core/model/shelf';
import { Disclosure } from '../../components/ui/Disclosure';
import { MoneyField } from '../../components/ui/MoneyField';
import { NumberField } from '../../components/ui/NumberField';
import { WordsField } from '../../components/ui/WordsField';

interface Bought {
  paid?: Paid | null | undefined;
  supplier?: string | undefined;
}

interface PaidFieldsProps<T extends Bought> {
  item: T;
  /** What it is counted in, and how much of it is usually bought at once. */
  per: { unit: string; usual: number };
  onItem: (item: T) => void;
}

/** What was paid for how much of it, and from whom: what a piece costs is worked out with it. */
export function PaidFields<T extends Bought>({ item, per, onItem }: PaidFieldsProps<T>) {
  const { paid = null, supplier = '' } = item;
  const amount = paid?.amount ?? per.usual;
  return (
    <Disclosure
      title={paid ? 'What it costs, and from whom' : 'What did it cost?'}
      label="What it costs"
      startOpen={paid !== null}
    >
      <MoneyField
        label="paid"
        at="paid.minor"
        minor={paid?.minor ?? null}
        onMoney={(minor) => onItem({ ...item, paid: { minor, amount } })}
      />
      <NumberField
        label={`for so many ${per.unit}`}
        at="paid.amount"
        value={amount}
        onNumber={(next) => onItem({ ...item, paid: { minor: paid?.minor ?? 0, amount: next } })}
      />
      <WordsField
        label="bought from"
        at="supplier"
        value={supplier}
        onText={(next) => onItem({ ...item, supplier: next })}
      />
    </Disclosure>
  );
}
