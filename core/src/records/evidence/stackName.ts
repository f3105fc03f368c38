import { STABILIZERS, TOPPERS } from '../../catalogue/materials';

const NAMES: Record<string, { name: string }> = { ...STABILIZERS, ...TOPPERS };

/** One word of a stack as it is called: `mesh-fusible fused` is "Fusible mesh, fused". */
function wordName(word: string): string {
  const [id = '', ...rest] = word.split(' ');
  const name = NAMES[id]?.name ?? id;
  return rest.length === 0 ? name : `${name}, ${rest.join(' ')}`;
}

/** A stack by its materials: "Cut-away + Soluble film, on top". */
export const stackName = (stack: string): string =>
  stack === 'nothing' || stack === '' ? 'Nothing underneath' : stack.split(' + ').map(wordName).join(' + ');
