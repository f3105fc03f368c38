import type { FaultId } from '@zt/core/model/faults';
import { FAULTS } from '@zt/core/model/faults';
import { Pressable } from 'react-native';
import { usePalette } from '../theme/palette';
import { FaultPicture } from './FaultPicture';
import { Row } from './ui/Row';
import { Txt } from './ui/Txt';

interface FaultSampleProps {
  seen: (id: FaultId) => boolean;
  onTap: (id: FaultId) => void;
}

/** Everything that can go wrong, drawn on a sample, to tap what did. */
export function FaultSample({ seen, onTap }: FaultSampleProps) {
  const p = usePalette();
  return (
    <Row gap={6} wrap role="group" aria-label="What was off">
      {FAULTS.map(({ id, name }) => {
        const on = seen(id);
        return (
          <Pressable
            key={id}
            role="button"
            aria-pressed={on}
            aria-label={name}
            onPress={() => onTap(id)}
            style={{
              width: 82,
              paddingVertical: 6,
              gap: 4,
              alignItems: 'center',
              borderWidth: on ? 3 : 1.5,
              borderColor: on ? p.madder : p.hairline,
              borderRadius: 6,
              backgroundColor: on ? p.shade : 'transparent',
            }}
          >
            <FaultPicture id={id} />
            <Txt as="small" style={{ textAlign: 'center', fontSize: 13, lineHeight: 16 }}>
              {name}
            </Txt>
          </Pressable>
        );
      })}
    </Row>
  );
}
