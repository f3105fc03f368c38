import type { INode } from 'svgson';
import { formatHex, parse } from '../../../base/colour/modes';

/** The inherited presentation of an element, as far as stitching asks. */
export interface Style {
  fill: string | null;
  stroke: string | null;
  strokeWidth: string;
  fillRule: string;
  color: string;
  visible: boolean;
}

export const INITIAL_STYLE: Style = {
  fill: '#000000',
  stroke: null,
  strokeWidth: '1',
  fillRule: 'nonzero',
  color: '#000000',
  visible: true,
};

export interface StyleRule {
  selector: string;
  declarations: Record<string, string>;
}

const declarationsOf = (text: string): Record<string, string> =>
  Object.fromEntries(
    text
      .split(';')
      .map((part) => part.split(':').map((s) => s.trim()))
      .flatMap(([name, value]) =>
        name && value ? [[name.toLowerCase(), value.replace(/\s*!important$/, '')]] : [],
      ),
  );

/** The rules of the drawing's style sheets: tag, class and id selectors, lists of them; others are passed over. */
export function styleRulesOf(css: string): StyleRule[] {
  const plain = css.replace(/\/\*[\s\S]*?\*\//g, '');
  return [...plain.matchAll(/([^{}]+)\{([^{}]*)\}/g)].flatMap(([, selectors = '', body = '']) =>
    selectors
      .split(',')
      .map((selector) => ({ selector: selector.trim(), declarations: declarationsOf(body) }))
      .filter(({ selector }) => /^[.#]?[\w-]+$|^\*$/.test(selector)),
  );
}

function matches(rule: StyleRule, node: INode): boolean {
  if (rule.selector === '*' || rule.selector === node.name) return true;
  if (rule.selector.startsWith('#')) return node.attributes.id === rule.selector.slice(1);
  return (node.attributes.class ?? '').split(/\s+/).includes(rule.selector.slice(1));
}

const rank = ({ selector }: StyleRule) => (selector.startsWith('#') ? 2 : selector.startsWith('.') ? 1 : 0);

function paint(value: string, style: Style): string | null {
  if (value === 'none' || value === 'transparent') return null;
  if (value.toLowerCase() === 'currentcolor') return style.color;
  if (value.startsWith('url(')) return '#808080';
  const colour = parse(value);
  return colour ? (formatHex(colour) ?? null) : '#000000';
}

/** The style of an element: what it inherits, then attributes, style sheet and `style`, in that order. */
export function styleOf(node: INode, inherited: Style, rules: readonly StyleRule[]): Style {
  const sheet = rules.filter((rule) => matches(rule, node)).sort((a, b) => rank(a) - rank(b));
  const own: Record<string, string> = Object.assign(
    {},
    node.attributes,
    ...sheet.map((rule) => rule.declarations),
    declarationsOf(node.attributes.style ?? ''),
  );
  const style = { ...inherited };
  const given = (name: string) =>
    own[name] === undefined || own[name] === 'inherit' ? undefined : own[name];
  style.color = given('color') ?? style.color;
  const [fill, stroke] = [given('fill'), given('stroke')];
  if (fill !== undefined) style.fill = paint(fill, style);
  if (stroke !== undefined) style.stroke = paint(stroke, style);
  style.strokeWidth = given('stroke-width') ?? style.strokeWidth;
  style.fillRule = given('fill-rule') ?? style.fillRule;
  if (given('display') === 'none' || given('opacity') === '0') style.visible = false;
  if (given('visibility') === 'hidden') style.visible = false;
  if (given('visibility') === 'visible') style.visible = true;
  return style;
}
