import { useState } from 'react';
import { View } from 'react-native';
import { Choice } from './Choice';
import { useFields } from './fields';
import { LengthField } from './LengthField';
import { Row } from './Row';

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

type Side = 'less' | 'more';

/**
 * A length to one of two sides: how far, and which way. A side chosen while there is no length yet, or one that could
 * not be taken, waits for it.
 */
export function SidedLengthField({ label, at, mm, sides, onLength }: SidedLengthFieldProps) {
  const { unread } = useFields();
  const [waiting, setWaiting] = useState<Side | null>(null);
  const isOpen = mm === 0 || unread[at] !== undefined;
  const side: Side = (isOpen ? waiting : null) ?? (mm < 0 ? 'less' : 'more');
  const put = (far: number, way: Side) => onLength(way === 'less' && far > 0 ? -far : far);
  const choose = (way: Side) => {
    setWaiting(way);
    if (!isOpen) put(Math.abs(mm), way);
  };
  return (
    <Row align="end" wrap>
      <View style={{ flexGrow: 1, flexBasis: 110 }}>
        <LengthField
          label={label}
          at={at}
          mm={Math.abs(mm)}
          onLength={(far) => put(far, side)}
          stepper={false}
        />
      </View>
      <Choice
        label={`${label}, which way`}
        quiet
        small
        options={[
          { id: 'less', name: sides[0] },
          { id: 'more', name: sides[1] },
        ]}
        chosen={side}
        onChoose={choose}
      />
    </Row>
  );
}
