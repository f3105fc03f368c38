/** Stands for icon fonts that the app does not ship. */
export default function NoIcon(): null {
  return null;
}
