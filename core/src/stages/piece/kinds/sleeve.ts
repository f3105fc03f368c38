import type { PieceOutline, PieceView } from '../geometry';
import type { Readings } from '../readings';
import { closedByMirror, curve, level, mirroredPoints, seam, strip, twins } from './shapes';

/** Depth of a sleeve's turned hem. */
const SLEEVE_HEM_MM = 20;
/** No hem is deeper than this share of the sleeve, and no sleeve spreads so that less than this share of it rises. */
const HEM_AT_MOST = 0.2;
const RISE_AT_LEAST = 0.6;
/** Of the armhole: half the sleeve's top laid flat, the height of its cap, and where the cap is told. */
const TOP_HALF = 0.48;
const CAP = 0.42;
const CAP_TOLD = CAP / 2;
/** How far out the cap is still high, of its half. */
const CAP_SHOULDER = 0.75;

/** A sleeve laid flat with its outer fold in the middle, from the middle of its hem upwards. */
function sleeveOutline(readings: Readings): PieceOutline {
  const { sleeveHem = 0, sleeveLength = 0, armhole = sleeveHem } = readings;
  const foot = { x: sleeveHem / 2, y: 0 };
  const topHalf = Math.max(sleeveHem / 2, armhole * TOP_HALF);
  const across = topHalf - sleeveHem / 2;
  const rise = Math.sqrt(Math.max(sleeveLength ** 2 - across ** 2, (sleeveLength * RISE_AT_LEAST) ** 2));
  const underarm = { x: sleeveHem / 2 + Math.sqrt(Math.max(0, sleeveLength ** 2 - rise ** 2)), y: -rise };
  const cap = curve(
    underarm,
    { x: underarm.x * CAP_SHOULDER, y: -rise - armhole * CAP },
    { x: 0, y: -rise - armhole * CAP },
  );
  const hem = Math.min(SLEEVE_HEM_MM, sleeveLength * HEM_AT_MOST);
  const body = (bottom: number) => closedByMirror([...[...cap].reverse(), { x: foot.x, y: bottom }]);
  return {
    outline: body(0),
    hoopable: body(-hem),
    seams: [
      seam('hem', 'sleeve hem', level(foot.x, -hem), 'hem'),
      seam('capSeam', 'armhole seam', [...mirroredPoints(cap).reverse(), ...cap]),
    ],
    noGo: [strip('hemBand', 'sleeve hem', { left: -foot.x, right: foot.x, top: -hem, bottom: 0 })],
    landmarks: {
      ...twins('hem', foot),
      hem: { x: 0, y: 0 },
      hemLine: { x: 0, y: -hem },
      sleeveUnderarm: underarm,
      cap: { x: 0, y: -rise - armhole * CAP_TOLD },
    },
    opening: { name: 'sleeve hem', widthMm: sleeveHem },
    centreFrom: -rise,
    centreTo: 0,
  };
}

export const SLEEVE: PieceView = {
  id: 'sleeve',
  name: 'Sleeve',
  datum: 'above the sleeve hem',
  datumSign: -1,
  wearersLeft: null,
  halving: {
    name: 'sleeve hem, edge to edge',
    left: 'hemLeft',
    right: 'hemRight',
    edge: 'edge',
    fold: 'underarm seam and outer fold apart, edges matched',
    second: { landmark: 'cap', name: 'the shoulder seam at the top of the sleeve' },
  },
  outlineOf: sleeveOutline,
};
