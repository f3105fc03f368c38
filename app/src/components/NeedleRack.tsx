import { NEEDLES } from '@zt/core/catalogue/materials';
import type { FittedNeedle } from '@zt/core/model/shelf';
import { Pressable } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '../theme/palette';
import { oneDigit } from './figures';
import { Row } from './ui/Row';
import { Txt } from './ui/Txt';

const WIDTH = 46;
const HEIGHT = 76;
const SHANK = 22;
/** A needle, point down, across the middle of its column. */
const NEEDLE = `M${WIDTH / 2 - 5} 2h10v${SHANK}l-3 4v34l-2 12l-2 -12v-34l-3 -4z`;

export interface RackNeedle extends FittedNeedle {
  /** The thread of this ticket that is on it, if one is. */
  thread?: { hex: string; name: string } | undefined;
}

interface NeedleRackProps {
  needles: readonly RackNeedle[];
  /** Hours after which one is changed. */
  mostHours: number;
  chosen: number;
  onChoose: (needle: number) => void;
}

/** The needles of a machine side by side: how far each is worn, and the thread on it; a tap chooses one. */
export function NeedleRack({ needles, mostHours, chosen, onChoose }: NeedleRackProps) {
  const p = usePalette();
  return (
    <Row gap={4} wrap role="radiogroup" aria-label="Needles of this machine">
      {needles.map(({ type, hours, thread }, i) => {
        const worn = Math.min(1, hours / mostHours);
        const what = type ? NEEDLES[type].name : 'not said which';
        return (
          <Pressable
            key={i}
            role="radio"
            aria-checked={i === chosen}
            tabIndex={i === chosen ? 0 : -1}
            aria-label={`Needle ${i + 1}, ${what}, ${oneDigit(hours)} of ${oneDigit(mostHours)} hours${thread ? `, ${thread.name} on it` : ''}`}
            onPress={() => onChoose(i)}
            style={{
              width: WIDTH + 6,
              alignItems: 'center',
              paddingVertical: 4,
              borderWidth: i === chosen ? 2.5 : 1,
              borderColor: i === chosen ? p.ink : p.hairline,
              borderRadius: 6,
              backgroundColor: p.shade,
            }}
          >
            <Txt as="strong">{String(i + 1)}</Txt>
            <Svg width={WIDTH} height={HEIGHT}>
              <Rect x={WIDTH - 9} y={2} width={6} height={HEIGHT - 4} fill="none" stroke={p.ink} />
              <Rect
                x={WIDTH - 9}
                y={2 + (1 - worn) * (HEIGHT - 4)}
                width={6}
                height={worn * (HEIGHT - 4)}
                fill={worn >= 1 ? p.madder : p.ink}
              />
              <Path d={NEEDLE} fill={p.panel} stroke={p.ink} strokeWidth={1.5} />
              {thread ? (
                <Line
                  x1={2}
                  y1={HEIGHT - 8}
                  x2={WIDTH / 2}
                  y2={HEIGHT - 16}
                  stroke={thread.hex}
                  strokeWidth={4}
                />
              ) : null}
            </Svg>
            <Txt as="small">{`${oneDigit(hours)} h`}</Txt>
          </Pressable>
        );
      })}
    </Row>
  );
}
