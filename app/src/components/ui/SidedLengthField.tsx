import { View } from 'react-native';
import { Choice } from './Choice';
import { LengthField } from './LengthField';

interface SidedLengthFieldProps {
  label: string;
  /** The path of the field in what is saved. */
  at: string;
  /** Positive to the second side. */
  mm: number;
  /** What either side is called, the negative one first. */
  sides: readonly [string, string];
  onLength: (mm: number) => void;
}

/** A length to one of two sides: how far, and which way. */
export function SidedLengthField({ label, at, mm, sides, onLength }: SidedLengthFieldProps) {
  const options = sides.map((name, i) => ({ id: i === 0 ? 'less' : 'more', name }));
  return (
    <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end', flexWrap: 'wrap' }}>
      <View style={{ flexGrow: 1, flexBasis: 110 }}>
        <LengthField
          label={label}
          at={at}
          mm={Math.abs(mm)}
          onLength={(value) => onLength(mm < 0 ? -value : value)}
          stepper={false}
        />
      </View>
      <Choice
        label={`${label}, which way`}
        quiet
        small
        options={options}
        chosen={mm < 0 ? 'less' : 'more'}
        onChoose={(side) => onLength((side === 'less' ? -1 : 1) * Math.abs(mm))}
      />
    </View>
  );
}
