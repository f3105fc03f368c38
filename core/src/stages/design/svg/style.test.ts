import { INITIAL_STYLE, styleOf, styleRulesOf } from './style';

const node = (attributes: Record<string, string>, name = 'path') => ({
  name,
  type: 'element',
  value: '',
  attributes,
  children: [],
});
const fillOf = (css: string, attributes: Record<string, string>) =>
  styleOf(node(attributes), INITIAL_STYLE, styleRulesOf(css)).fill;

describe('style sheets of a drawing', () => {
  it.each([
    ['a class', '.a { fill: #ff0000 }', { class: 'b a' }, '#ff0000'],
    ['a tag with a class', 'path.a{fill:#ff0000} rect.a{fill:#00ff00}', { class: 'a' }, '#ff0000'],
    [
      'an id before a class, whatever their order',
      '#x{fill:#ff0000}.a{fill:#00ff00}',
      { id: 'x', class: 'a' },
      '#ff0000',
    ],
    ['two classes before one', '.a.b{fill:#ff0000}.a{fill:#00ff00}', { class: 'a b' }, '#ff0000'],
    ['the later of two equal ones', '.a{fill:#00ff00}.b{fill:#ff0000}', { class: 'a b' }, '#ff0000'],
    ['a list', '.x, .a { fill: #ff0000; }', { class: 'a' }, '#ff0000'],
    ['a sheet before an attribute', '.a{fill:#ff0000}', { class: 'a', fill: '#00ff00' }, '#ff0000'],
    ['a style before a sheet', '.a{fill:#00ff00}', { class: 'a', style: 'fill : #ff0000' }, '#ff0000'],
    [
      'what is important before a style',
      '.a{fill:#ff0000 !important}',
      { class: 'a', style: 'fill:#00ff00' },
      '#ff0000',
    ],
    [
      'a comment, a semicolon in a string and an @-rule',
      '/* .a{fill:red} */ @font-face{font-family:"a;}b"} .a{fill:#ff0000}',
      { class: 'a' },
      '#ff0000',
    ],
    [
      'nothing of what is for print, or for what lies in something else',
      '@media print{.a{fill:#00ff00}} g .a{fill:#00ff00} .a:hover{fill:#00ff00}',
      { class: 'a', fill: '#ff0000' },
      '#ff0000',
    ],
    ['nothing of what is not CSS', '.a{{{ fill', { class: 'a', fill: '#ff0000' }, '#ff0000'],
  ])('take %s', (_, css, attributes, fill) => {
    expect(fillOf(css, attributes as Record<string, string>)).toBe(fill);
  });
});
