import { Callout } from '../components/ui/Callout';
import { Txt } from '../components/ui/Txt';
import { allUnsent } from '../store/autosave';
import { useAppSelector } from '../store/store';

/** Says on every page, quietly, what waits for the shop’s computer while it does not answer. */
export function Waiting() {
  const waits = useAppSelector(({ editor }) => (editor.offline ? allUnsent(editor).length : 0));
  if (waits === 0) return null;
  const what = waits === 1 ? 'One ticket has changes that wait' : `${waits} tickets have changes that wait`;
  return (
    <Callout tone="tape" role="status" gap={0}>
      <Txt as="small">{`${what} for the shop’s computer. They are kept on this device.`}</Txt>
    </Callout>
  );
}
