import { MAT, type OnCutter } from '@zt/core/model/cutter';
import { G, Path, Rect } from 'react-native-svg';
import { useOnSheet } from '../../sheet/onSheet';
import { Sheet } from '../../sheet/Sheet';
import { pathPx, toPx } from '../../sheet/view';

const MAT_HEX = '#39424E';
const LINE_HEX = '#57626F';
const GRID_MM = 50;

/** The mat with its lines, the sheet on it, and its pieces: what is cut is lifted out. */
function OnMat({ on, clothHex }: { on: OnCutter | null; clothHex: string }) {
  const { view, palette: p } = useOnSheet();
  const from = toPx(view, { x: 0, y: 0 });
  const [w, h] = [MAT.widthMm * view.scale, MAT.heightMm * view.scale];
  const lines = [
    ...Array.from({ length: MAT.widthMm / GRID_MM - 1 }, (_, i) => {
      const x = from.x + (i + 1) * GRID_MM * view.scale;
      return `M${x} ${from.y}v${h}`;
    }),
    ...Array.from({ length: MAT.heightMm / GRID_MM - 1 }, (_, i) => {
      const y = from.y + (i + 1) * GRID_MM * view.scale;
      return `M${from.x} ${y}h${w}`;
    }),
  ];
  return (
    <G>
      <Rect x={from.x} y={from.y} width={w} height={h} fill={MAT_HEX} />
      <Path d={lines.join('')} stroke={LINE_HEX} strokeWidth={1} />
      {on ? (
        <>
          <Rect
            x={from.x}
            y={from.y}
            width={on.job.widthMm * view.scale}
            height={on.job.heightMm * view.scale}
            fill={clothHex}
          />
          {on.job.pieces.map(({ rings, name }, i) => (
            <Path
              key={`${i} ${name}`}
              d={rings.map((ring) => pathPx(view, ring, true)).join('')}
              fillRule="evenodd"
              fill={i < on.state.cut ? p.panel : 'none'}
              stroke={i < on.state.cut ? p.ink : p.madder}
              strokeWidth={1.6}
              {...(i < on.state.cut ? {} : { strokeDasharray: '5 4' })}
            />
          ))}
        </>
      ) : null}
    </G>
  );
}

/** The cutter's mat from above. */
export function MatDrawing({ on, clothHex }: { on: OnCutter | null; clothHex: string }) {
  const focus = on
    ? { left: 0, top: 0, right: on.job.widthMm, bottom: on.job.heightMm }
    : { left: 0, top: 0, right: MAT.widthMm, bottom: MAT.heightMm };
  return (
    <Sheet
      focus={focus}
      room={14}
      description={
        on
          ? `The cutter’s mat from above: ${on.state.cut} of ${on.job.pieces.length} pieces cut.`
          : 'The cutter’s mat from above, empty.'
      }
    >
      <OnMat on={on} clothHex={clothHex} />
    </Sheet>
  );
}
