import { Disclosure } from '../../components/ui/Disclosure';
import { FileLink } from '../../components/ui/FileLink';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { useTicket } from '../../hooks/useTicket';
import { useAppSelector } from '../../store/store';
import { SvgPress } from '../SvgPress';

const FILES = [
  { file: 'template.pdf?paper=a4', name: 'Template, A4' },
  { file: 'template.pdf?paper=letter', name: 'Template, Letter' },
  { file: 'ruler.pdf?paper=a4', name: 'Placement ruler, A4' },
  { file: 'ruler.pdf?paper=letter', name: 'Placement ruler, Letter' },
  { file: 'sheet.png', name: 'Sheet as picture' },
] as const;

/** What the shop's computer makes of the ticket as it keeps it. */
function MadeThere() {
  const ticket = useTicket('id');
  const saved = useAppSelector((state) => state.editor.save === 'saved');
  const heard = useAppSelector((state) => state.queue.heard);
  if (!heard)
    return (
      <Txt as="small" tone="graphite" live>
        PDF and picture are made by the shop’s computer, which does not answer. The SVGs are made here.
      </Txt>
    );
  if (!saved)
    return (
      <Txt as="small" tone="graphite" live>
        Saving first, so that the paper is of today.
      </Txt>
    );
  return FILES.map(({ file, name }) => (
    <FileLink key={file} href={`/api/paper/${ticket.id}/${file}`} name={name} />
  ));
}

/** True-size paper: the template to lay on the cloth, a placement ruler for the sizes, the sheet itself. */
export function PaperLinks() {
  return (
    <Disclosure title="Print at true size" label="Print at true size">
      <Txt as="small">
        Print at 100 %, never “fit to page”; then lay a ruler on the proving ruler at the foot of the page.
      </Txt>
      <Row wrap>
        <MadeThere />
        <SvgPress paper="template" title="Template as SVG" />
        <SvgPress paper="sheet" title="Sheet as SVG" />
      </Row>
    </Disclosure>
  );
}
