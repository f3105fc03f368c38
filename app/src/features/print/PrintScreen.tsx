import { titleOf } from '@zt/core/planner/titleOf';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket } from '../../hooks/useTicket';
import { SvgPress } from '../../stages/SvgPress';
import { WithTicket } from '../../stages/WithTicket';
import { useAppSelector } from '../../store/store';
import { usePalette } from '../../theme/palette';

const WHAT = [
  { id: 'card', name: 'job card' },
  { id: 'label', name: 'swing label' },
  { id: 'template', name: 'template' },
  { id: 'ruler', name: 'placement ruler' },
  { id: 'pattern', name: 'patterns for the cloth' },
] as const;
type What = (typeof WHAT)[number]['id'];

const PAPERS = [
  { id: 'a5', name: 'A5' },
  { id: 'a4', name: 'A4' },
  { id: 'letter', name: 'Letter' },
] as const;
type Paper = (typeof PAPERS)[number]['id'];

/** What lies on the cloth is printed at true size, and needs a page with room for its proving ruler. */
const isTrueSize = (what: What): boolean => what === 'template' || what === 'ruler' || what === 'pattern';

const WORDS: Record<What, string> = {
  card: 'The whole ticket to lay beside the hoop: drawn to scale, with boxes to tick. Its code opens the ticket on a paired phone.',
  label: 'One for each piece, to cut apart along the dashed lines.',
  template: 'True size. Print at 100 %, then lay a ruler on the proving ruler at the foot of the page.',
  pattern:
    'True size, every piece once, with its grain. Print at 100 %, check the proving ruler, cut by hand.',
  ruler: 'True size, with a slot for each size of the order. Print at 100 %, then check the proving ruler.',
};

/** A file made of what is kept: what was just changed is kept first. */
function useWaits(): string | null {
  const saved = useAppSelector((state) => state.editor.save === 'saved');
  const heard = useAppSelector((state) => state.queue.heard);
  if (!heard)
    return 'Pages are made by the shop’s computer, which does not answer. The SVGs are made on this device.';
  return saved ? null : 'Saving first, so that the paper is of today.';
}

function Preview({ src, name }: { src: string; name: string }) {
  const p = usePalette();
  const [failed, setFailed] = useState('');
  const ask = async () => {
    const answer = await fetch(src).catch(() => null);
    const said = (await answer?.json().catch(() => null)) as { message?: string } | null;
    setFailed(said?.message ?? 'The shop’s computer does not answer.');
  };
  if (failed !== '')
    return (
      <Txt tone="madder" live>
        {failed}
      </Txt>
    );
  return (
    <View style={{ borderWidth: 1.5, borderColor: p.ink, alignSelf: 'center', maxWidth: 560, width: '100%' }}>
      {createElement('img', {
        src,
        alt: `${name}, as it will be printed`,
        onError: () => void ask(),
        style: { display: 'block', width: '100%' },
      })}
    </View>
  );
}

function Pages() {
  const ticket = useTicket();
  const { place, design } = usePlan('place', 'design');
  const offered = WHAT.filter(({ id }) => id !== 'pattern' || (design.facts?.cloths.length ?? 0) > 0);
  const router = useRouter();
  const waits = useWaits();
  const { what: first } = useLocalSearchParams<{ what?: string }>();
  const [what, setWhat] = useState<What>(WHAT.find(({ id }) => id === first)?.id ?? 'card');
  const [asked, setPaper] = useState<Paper>('a5');
  const trueSize = isTrueSize(what);
  const papers = trueSize ? PAPERS.filter(({ id }) => id !== 'a5') : PAPERS;
  const paper = trueSize && asked === 'a5' ? 'a4' : asked;
  const name = WHAT.find(({ id }) => id === what)?.name ?? '';
  const at = `/api/paper/${ticket.id}`;
  // A picture of this very state: another state is another picture.
  const rev = useAppSelector((state) => state.editor.rev);
  const why = trueSize && !place ? 'There is nothing to print yet: piece, design and place first.' : waits;
  const back = () => (router.canGoBack() ? router.back() : router.replace(`/ticket/${ticket.id}/place`));
  return (
    <Screen title={`Print: ${titleOf(ticket)}`} aside={<Press title="Back" onPress={back} />}>
      <Choice label="What" options={offered} chosen={what} onChoose={setWhat} />
      <Row align="end" wrap>
        <Choice label="Paper" options={papers} chosen={paper} onChoose={setPaper} />
        {why === null ? (
          <FileLink main href={`${at}/${what}.pdf?paper=${paper}`} name={`Save the ${name} as PDF`} />
        ) : null}
      </Row>
      <Txt as="small" tone="graphite">
        {WORDS[what]}
      </Txt>
      {why === null ? (
        <Preview
          key={`${what} ${paper} ${rev}`}
          src={`${at}/preview.png?what=${what}&paper=${paper}&rev=${rev}`}
          name={name}
        />
      ) : (
        <Txt as="small" tone="graphite" live>
          {why}
        </Txt>
      )}
      <Txt as="heading" level={2}>
        For other programs
      </Txt>
      <Row wrap>
        <SvgPress paper="template" title="Template as SVG" />
        <SvgPress paper="sheet" title="Sheet as SVG" />
        {waits === null ? <FileLink href={`${at}/sheet.png`} name="Sheet as picture" /> : null}
      </Row>
    </Screen>
  );
}

/** Everything of a ticket that goes on paper, seen before it is printed. */
export const PrintScreen = ({ id }: { id: string }) => <WithTicket id={id}>{() => <Pages />}</WithTicket>;
