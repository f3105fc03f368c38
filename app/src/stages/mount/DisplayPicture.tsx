import type { Point } from '@zt/core/base/geometry/point';
import { factsInHoop } from '@zt/core/stages/hoop/layHoop';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan } from '../../hooks/useTicket';
import { DesignLayer } from '../../sheet/layers/DesignLayer';
import { InView } from '../../sheet/onSheet';
import { fitView, toPx } from '../../sheet/view';
import { usePalette } from '../../theme/palette';

const SIDE = 150;

/** What the design must look like on the machine's display: the field as the operator sees it, nothing of the piece. */
export function DisplayPicture() {
  const plan = usePlan('mount', 'hoop', 'design');
  const p = usePalette();
  const { mount, hoop, design } = plan;
  const laid = hoop?.laid;
  if (!mount || !laid || !design.facts) return null;
  const facts = factsInHoop(design.facts, laid);
  const { fieldWidthMm: w, fieldHeightMm: h, round } = laid.verdict.hoop;
  const view = fitView(
    { left: -w / 2, right: w / 2, top: -h / 2, bottom: h / 2 },
    { width: SIDE, height: SIDE },
    8,
  );
  const corner = toPx(view, { x: -w / 2, y: -h / 2 });
  const centre: Point = toPx(view, { x: 0, y: 0 });
  const { text } = mount.display;
  return (
    <Row gap={12} align="middle">
      <View role="img" aria-label={`On the machine's display: ${text}.`}>
        <Svg width={SIDE} height={SIDE}>
          <Rect
            x={corner.x}
            y={corner.y}
            width={w * view.scale}
            height={h * view.scale}
            rx={round ? (w * view.scale) / 2 : 2}
            fill={p.panel}
            stroke={p.ink}
            strokeWidth={2}
          />
          <InView view={view} palette={p}>
            <DesignLayer
              facts={facts}
              at={mount.designAt}
              turnDeg={mount.keys.turnDeg}
              mirror={mount.keys.mirror}
              ink={p.ink}
            />
          </InView>
          <Path
            d={`M${centre.x - 5} ${centre.y}h10M${centre.x} ${centre.y - 5}v10`}
            stroke={p.madder}
            strokeWidth={1.4}
          />
        </Svg>
      </View>
      <Stack gap={4} grow>
        <Txt as="label" tone="graphite">
          On the machine’s display
        </Txt>
        <Txt as="strong" testID="display">
          {text.charAt(0).toUpperCase() + text.slice(1)}
        </Txt>
        <Txt as="small" tone="graphite">
          If it looks otherwise, do not start.
        </Txt>
      </Stack>
    </Row>
  );
}
