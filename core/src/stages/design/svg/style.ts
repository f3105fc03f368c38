import { type CssNode, generate, parse } from 'css-tree';
import type { INode } from 'svgson';
import { formatHex, parse as parseColour } from '../../../base/colour/modes';

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

/** What an element must have for a rule to be meant for it, and what the rule then says. */
export interface StyleRule {
  tag: string | null;
  id: string | null;
  classes: string[];
  declarations: Declaration[];
}

interface Declaration {
  name: string;
  value: string;
  important: boolean;
}

/** Style sheets as they are written; what is not CSS in one is passed over. */
const IN_SHEETS = { parseValue: false, parseAtrulePrelude: false, onParseError: () => undefined } as const;

const declarationsIn = (block: CssNode): Declaration[] =>
  (block.type === 'Block' || block.type === 'DeclarationList' ? [...block.children] : []).flatMap((part) =>
    part.type === 'Declaration'
      ? [
          {
            name: part.property.toLowerCase(),
            value: generate(part.value).trim(),
            important: Boolean(part.important),
          },
        ]
      : [],
  );

/** A selector of one element by tag, id and classes; null for one that looks at others, or at a state. */
function selected(selector: CssNode): Omit<StyleRule, 'declarations'> | null {
  if (selector.type !== 'Selector') return null;
  const wanted: Omit<StyleRule, 'declarations'> = { tag: null, id: null, classes: [] };
  for (const part of selector.children) {
    if (part.type === 'TypeSelector') wanted.tag = part.name === '*' ? null : part.name;
    else if (part.type === 'ClassSelector') wanted.classes.push(part.name);
    else if (part.type === 'IdSelector') wanted.id = part.name;
    else return null;
  }
  return wanted;
}

/** The rules of the drawing's style sheets by tag, class and id; those of other kinds and of @-rules are passed over. */
export function styleRulesOf(css: string): StyleRule[] {
  const sheet = parse(css, IN_SHEETS);
  if (sheet.type !== 'StyleSheet') return [];
  return [...sheet.children].flatMap((rule) => {
    if (rule.type !== 'Rule' || rule.prelude.type !== 'SelectorList') return [];
    const declarations = declarationsIn(rule.block);
    return [...rule.prelude.children].flatMap((selector) => {
      const wanted = selected(selector);
      return wanted ? [{ ...wanted, declarations }] : [];
    });
  });
}

function matches({ tag, id, classes }: StyleRule, { name, attributes }: INode): boolean {
  const own = (attributes.class ?? '').split(/\s+/);
  return (
    (tag === null || tag === name) &&
    (id === null || id === attributes.id) &&
    classes.every((one) => own.includes(one))
  );
}

/** Which of two rules counts: ids before classes before tags (CSS selectors, specificity). */
const rank = ({ id, classes, tag }: StyleRule): number =>
  (id === null ? 0 : 1e4) + classes.length * 100 + (tag === null ? 0 : 1);

/** What is said of an element: attributes, style sheets, `style`; then in this order what is marked important. */
function saidOf(node: INode, rules: readonly StyleRule[]): Record<string, string> {
  const sheet = rules.filter((rule) => matches(rule, node)).sort((a, b) => rank(a) - rank(b));
  const inline = declarationsIn(
    parse(node.attributes.style ?? '', { ...IN_SHEETS, context: 'declarationList' }),
  );
  const all = [...sheet.flatMap(({ declarations }) => declarations), ...inline];
  const inOrder = [...all.filter((d) => !d.important), ...all.filter((d) => d.important)];
  return { ...node.attributes, ...Object.fromEntries(inOrder.map(({ name, value }) => [name, value])) };
}

function paint(value: string, style: Style): string | null {
  if (value === 'none' || value === 'transparent') return null;
  if (value.toLowerCase() === 'currentcolor') return style.color;
  if (value.startsWith('url(')) return '#808080';
  const colour = parseColour(value);
  return colour ? (formatHex(colour) ?? null) : '#000000';
}

/** The style of an element: what it inherits, then attributes, style sheet and `style`, in that order. */
export function styleOf(node: INode, inherited: Style, rules: readonly StyleRule[]): Style {
  const own = saidOf(node, rules);
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
