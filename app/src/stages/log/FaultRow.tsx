import { type FAULTS, SEVERITY_WORDS } from '@zt/core/model/faults';
import { Pressable } from 'react-native';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

interface FaultRowProps {
  fault: (typeof FAULTS)[number];
  /** In how many places it was marked, in words. */
  where?: string;
  level: number;
  onLevel: (level: number) => void;
}

/** One fault, from 0 (none) to 3 (spoilt), with its causes once it was seen. */
export function FaultRow({ fault, where = '', level, onLevel }: FaultRowProps) {
  const p = usePalette();
  return (
    <Ruled room={6} gap={4}>
      <Row gap={4} align="middle" role="radiogroup" aria-label={fault.name}>
        <Stack grow>
          <Txt>{`${fault.name}${where}`}</Txt>
        </Stack>
        {SEVERITY_WORDS.map((word, i) => (
          <Pressable
            key={word}
            role="radio"
            aria-checked={level === i}
            aria-label={`${fault.name}: ${word}`}
            onPress={() => onLevel(i)}
            style={{
              width: 44,
              height: 44,
              alignItems: 'center',
              justifyContent: 'center',
              borderWidth: 1.5,
              borderRadius: 6,
              borderColor: level === i ? p.ink : p.hairline,
              backgroundColor: level === i ? p.ink : 'transparent',
            }}
          >
            <Txt as="strong" tone={level === i ? 'onInk' : 'ink'}>
              {String(i)}
            </Txt>
          </Pressable>
        ))}
      </Row>
      {level > 0 ? <Txt as="small">{`Usually: ${fault.causes}. Next time: ${fault.nextTime}`}</Txt> : null}
    </Ruled>
  );
}
