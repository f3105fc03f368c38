import { View } from 'react-native';
import { Disclosure } from '../../components/ui/Disclosure';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';

/** Seams opened to let the hoop in: listed, so that they get closed. Only where a hoop must go inside. */
export function OpenedSeams() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const { change } = useTicketActs();
  const { opened } = ticket.piece;
  const { kind, sketch } = plan.piece;
  if (kind.form !== 'tubular') return null;
  const names = [...new Set(sketch.seams.filter((s) => s.style === 'seam').map((s) => s.name))];
  const toggle = (name: string, on: boolean) =>
    change({ stage: 'piece', set: { opened: on ? [...opened, name] : opened.filter((n) => n !== name) } });
  return (
    <Disclosure
      title={opened.length > 0 ? `Seams opened: ${opened.length}` : 'Open a seam to get the hoop in?'}
      label="Seams opened for the hoop"
      startOpen={opened.length > 0}
    >
      <Txt as="small">Tick what you unpick. Finish lists it, so that it gets closed.</Txt>
      <View>
        {names.map((name) => (
          <Tick key={name} title={name} on={opened.includes(name)} onToggle={(on) => toggle(name, on)} />
        ))}
      </View>
    </Disclosure>
  );
}
