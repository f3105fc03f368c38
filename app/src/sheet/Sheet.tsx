import type { Box } from '@zt/core/base/geometry/box';
import { ORIGIN, type Point } from '@zt/core/base/geometry/point';
import isEqual from 'fast-deep-equal';
import { type ReactNode, useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { View as NativeView } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { IconPress } from '../components/ui/IconPress';
import { usePalette } from '../theme/palette';
import { InView, useOnSheet } from './onSheet';
import { useSheetGestures, zoomedAbout } from './useSheetGestures';
import { AT_REST, fitView, type Hand, toMm, type View } from './view';

interface SheetProps {
  /** What must be in sight, mm. */
  focus: Box;
  /** The same numbers as the drawing, for those who listen. */
  description: string;
  /** Its layers, the lowest first. */
  children: ReactNode;
  /** What is painted over the layers, and is no drawing of lines. */
  over?: ReactNode;
  /** Whether a press here, mm, takes hold of the design. */
  holds?: (at: Point, tolerance: number) => boolean;
  /** The design was moved by so many mm since it was taken hold of. */
  onDrag?: (by: Point) => void;
  onDragEnd?: () => void;
  /** A tap on the sheet, mm. */
  onTap?: (at: Point) => void;
  room?: number;
  /** Keep the view as it is: the design is in the hand. */
  still?: boolean;
}

const GRID_PX = 46;
/** On a lower sheet the buttons that zoom would cover it. */
const ZOOMED_FROM_PX = 200;
const never = () => false;
const nothing = () => undefined;

function Grid() {
  const { view, palette } = useOnSheet();
  const lines: string[] = [];
  for (let x = (-view.origin.x * view.scale) % GRID_PX; x < view.width; x += GRID_PX)
    lines.push(`M${x.toFixed(1)} 0V${view.height}`);
  for (let y = (-view.origin.y * view.scale) % GRID_PX; y < view.height; y += GRID_PX)
    lines.push(`M0 ${y.toFixed(1)}H${view.width}`);
  return <Path d={lines.join('')} stroke={palette.grid} strokeWidth={1} fill="none" />;
}

interface Framing {
  size: { width: number; height: number };
  room: number;
  hand: Hand;
}

/** The view of a box, the same object while it shows the same; while `still`, of the box it last showed. */
function useSteadyView(focus: Box, still: boolean, { size, room, hand }: Framing): View {
  const [shown, setShown] = useState(focus);
  if (!still && !isEqual(shown, focus)) setShown(focus);
  return useMemo(() => fitView(shown, size, room, hand), [shown, size, room, hand]);
}

/** The pattern sheet: a drawing to scale that pans, zooms, and lets the design be dragged. */
export function Sheet({
  focus,
  description,
  children,
  over = null,
  holds = never,
  onDrag = nothing,
  onDragEnd = nothing,
  onTap = nothing,
  room = 28,
  still = false,
}: SheetProps) {
  const palette = usePalette();
  const ref = useRef<NativeView>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [hand, setHand] = useState<Hand>(AT_REST);
  const view = useSteadyView(focus, still, { size, room, hand });
  const latest = useRef(view);
  useLayoutEffect(() => {
    latest.current = view;
  }, [view]);
  const held = useCallback(
    (at: Point) => holds(toMm(latest.current, at), 12 / latest.current.scale),
    [holds],
  );
  const drag = useCallback(
    (by: Point) => onDrag({ x: by.x / latest.current.scale, y: by.y / latest.current.scale }),
    [onDrag],
  );
  const tap = (at: Point) => onTap(toMm(latest.current, at));
  useSheetGestures(ref, { holds: held, onDrag: drag, onDragEnd, onTap: tap, onHand: setHand });
  const zoom = (factor: number) => () =>
    setHand((before) => (factor === 0 ? AT_REST : zoomedAbout(before, factor, ORIGIN)));
  return (
    <NativeView style={{ flex: 1 }}>
      <NativeView
        ref={ref}
        testID="sheet"
        role="img"
        tabIndex={0}
        aria-label={description}
        style={{ flex: 1, overflow: 'hidden', backgroundColor: palette.paper }}
        onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
      >
        {size.width > 0 ? (
          <Svg width={size.width} height={size.height}>
            <InView view={view} palette={palette}>
              <Grid />
              {children}
            </InView>
          </Svg>
        ) : null}
        {size.width > 0 && over ? (
          <InView view={view} palette={palette}>
            {over}
          </InView>
        ) : null}
      </NativeView>
      {size.height >= ZOOMED_FROM_PX && !still ? (
        <NativeView
          style={{
            position: 'absolute',
            right: 0,
            bottom: 0,
            backgroundColor: palette.paper,
            borderTopLeftRadius: 8,
          }}
        >
          {isEqual(hand, AT_REST) ? null : (
            <IconPress icon="all" label="Show all of the drawing" onPress={zoom(0)} />
          )}
          <IconPress icon="larger" label="Draw it larger" onPress={zoom(1.25)} />
          <IconPress icon="smaller" label="Draw it smaller" onPress={zoom(0.8)} />
        </NativeView>
      ) : null}
    </NativeView>
  );
}
