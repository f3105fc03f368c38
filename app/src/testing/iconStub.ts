/** Stands for icons in unit tests. */
export default function NoIcon(): null {
  return null;
}
