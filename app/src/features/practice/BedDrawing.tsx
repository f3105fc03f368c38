import { boxOf, inflate } from '@zt/core/base/geometry/box';
import { ORIGIN, type Point, subtract } from '@zt/core/base/geometry/point';
import type { Hoop } from '@zt/core/model/shelf';
import { obstacleOutline } from '@zt/core/stages/mount/obstacles';
import { keyedHull, keyedPoint, type PracticeJob, type PracticeState } from '@zt/core/table/practice/index';
import { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { ChalkCross, FigureTag } from '../../sheet/layers/marks';
import { clothInk, InView, useOnSheet } from '../../sheet/onSheet';
import { Sheet } from '../../sheet/Sheet';
import { pathPx, toPx } from '../../sheet/view';
import { stitchedSoFar } from './stitchedSoFar';

interface BedProps {
  job: PracticeJob;
  state: PracticeState;
}

/** How wide a thread is drawn, mm. */
const THREAD_MM = 0.5;
const BED = '#39424E';
const GROOVE = '#57626F';
const PLATE = '#C9CDD2';
const BED_MM = { left: -190, right: 190, top: -150, bottom: 150 };

/** The bed from above: grooves across its middle, and the plate under the needle. */
function Bed({ job }: { job: PracticeJob }) {
  const { view } = useOnSheet();
  const back = job.machine.bodySide === 'back';
  const { throatMm } = job.machine;
  const [a, b] = [
    toPx(view, { x: BED_MM.left, y: BED_MM.top }),
    toPx(view, { x: BED_MM.right, y: BED_MM.bottom }),
  ];
  const body = back
    ? { x: BED_MM.left, y: -throatMm - 90, w: BED_MM.right - BED_MM.left, h: 90 }
    : { x: throatMm, y: BED_MM.top, w: 90, h: BED_MM.bottom - BED_MM.top };
  const at = toPx(view, { x: body.x, y: body.y });
  const centre = toPx(view, { x: 0, y: 0 });
  return (
    <G>
      <Rect x={a.x} y={a.y} width={b.x - a.x} height={b.y - a.y} rx={10} fill={BED} />
      <Line x1={a.x} y1={centre.y} x2={b.x} y2={centre.y} stroke={GROOVE} strokeWidth={2} />
      <Line x1={centre.x} y1={a.y} x2={centre.x} y2={b.y} stroke={GROOVE} strokeWidth={2} />
      <Rect x={at.x} y={at.y} width={body.w * view.scale} height={body.h * view.scale} rx={8} fill={GROOVE} />
      <Circle cx={centre.x} cy={centre.y} r={26 * view.scale} fill={PLATE} stroke={GROOVE} strokeWidth={2} />
    </G>
  );
}

/** The hoop on the carriage with the cloth in it: it moves, the needle stays. */
function OnCarriage({ job, state, hoop }: BedProps & { hoop: Hoop }) {
  const { view, palette: p } = useOnSheet();
  const at = (q: Point) => subtract(q, state.needle);
  const rectangle = (w: number, h: number) =>
    [
      [-w, -h],
      [w, -h],
      [w, h],
      [-w, h],
    ].map(([x = 0, y = 0]) => at({ x: x / 2, y: y / 2 }));
  const { ringWidthMm: rw, ringHeightMm: rh, wallMm } = hoop;
  const ink = clothInk(job.clothHex);
  return (
    <G>
      <Path
        d={pathPx(view, job.cloth.map(at), true)}
        fill={job.clothHex}
        fillOpacity={0.22}
        stroke={PLATE}
        strokeWidth={1.4}
        strokeDasharray="8 5"
      />
      <Path d={pathPx(view, rectangle(rw, rh), true)} fill={job.clothHex} />
      <Path
        d={pathPx(view, rectangle(rw, rh), true)}
        fill="none"
        stroke={ink}
        strokeWidth={wallMm * view.scale * 0.35}
        strokeLinejoin="round"
      />
      <Path
        d={pathPx(view, rectangle(rw - 2 * wallMm, rh - 2 * wallMm), true)}
        fill="none"
        stroke={ink}
        strokeWidth={1.2}
      />
      <InView view={view} palette={{ ...p, chalk: ink === p.ink ? p.chalk : ink }}>
        {Object.entries(job.marks).map(([name, mark], i) => (
          <ChalkCross key={name} at={at(mark)} number={i + 1} size={7} />
        ))}
      </InView>
      {stitchedSoFar(job, state).map(({ hex, points }, i) => (
        <Path
          key={`${i} ${hex}`}
          d={pathPx(
            view,
            points.map((q) => at(keyedPoint(q, state))),
            false,
          )}
          fill="none"
          stroke={hex}
          strokeWidth={Math.max(1, THREAD_MM * view.scale)}
          strokeLinejoin="round"
        />
      ))}
      {state.traced ? (
        <Path
          d={pathPx(view, keyedHull(job, state).map(at), true)}
          fill="none"
          stroke={ink}
          strokeWidth={1.2}
          strokeDasharray="5 4"
        />
      ) : null}
      {job.obstacles.map((obstacle, i) => (
        <Path
          key={i}
          d={pathPx(view, obstacleOutline(obstacle).map(at), true)}
          fill={p.panel}
          stroke={p.onTape}
          strokeWidth={1.6}
        />
      ))}
      {state.latched ? null : (
        <FigureTag {...toPx(view, at({ x: 0, y: -rh / 2 }))} text="not latched" size={13} />
      )}
    </G>
  );
}

/** The practice machine from above: its bed, the hoop that moves under the needle, and the needle's cross. */
export function BedDrawing({ job, state }: BedProps) {
  const hoop = job.hoops.find((h) => h.id === state.onId) ?? null;
  const ring = hoop
    ? [
        { x: -hoop.ringWidthMm / 2, y: -hoop.ringHeightMm / 2 },
        { x: hoop.ringWidthMm / 2, y: hoop.ringHeightMm / 2 },
      ]
    : [
        { x: -90, y: -90 },
        { x: 90, y: 90 },
      ];
  return (
    <Sheet
      focus={inflate(boxOf(ring), (hoop?.fieldWidthMm ?? 100) * 0.35)}
      room={8}
      description={`The practice machine from above. ${hoop ? `${hoop.name} on the carriage, ${state.latched ? 'latched' : 'not latched'}.` : 'No hoop on the carriage.'} The needle is ${state.needleWhole ? 'whole' : 'broken'}.`}
    >
      <Bed job={job} />
      {hoop ? <OnCarriage job={job} state={state} hoop={hoop} /> : null}
      <Foot job={job} state={state} />
    </Sheet>
  );
}

/** The foot's ring and the needle's cross. */
function Foot({ job, state }: BedProps) {
  const { view, palette } = useOnSheet();
  const { x, y } = toPx(view, ORIGIN);
  const colour = state.needleWhole ? palette.madder : palette.tape;
  return (
    <G>
      <Circle cx={x} cy={y} r={job.footMm * view.scale} fill="none" stroke={colour} strokeWidth={1.6} />
      <Path
        d={`M${x - 22} ${y}h44M${x} ${y - 22}v44`}
        stroke={colour}
        strokeWidth={2}
        {...(state.needleWhole ? {} : { strokeDasharray: '4 4' })}
      />
    </G>
  );
}
