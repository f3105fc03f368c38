import { Disclosure } from '../../components/ui/Disclosure';
import { FileLink } from '../../components/ui/FileLink';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { useTicket } from '../../hooks/useTicket';
import { useAppSelector } from '../../store/store';

const FILES = [
  { file: 'template.pdf?paper=a4', name: 'Template, A4' },
  { file: 'template.pdf?paper=letter', name: 'Template, Letter' },
  { file: 'ruler.pdf?paper=a4', name: 'Placement ruler, A4' },
  { file: 'ruler.pdf?paper=letter', name: 'Placement ruler, Letter' },
  { file: 'template.svg', name: 'Template as SVG' },
  { file: 'sheet.svg', name: 'Sheet as SVG' },
  { file: 'sheet.png', name: 'Sheet as picture' },
] as const;

/** True-size paper: the template to lay on the cloth, a placement ruler for the sizes, the sheet itself. */
export function PaperLinks() {
  const ticket = useTicket('id');
  const saved = useAppSelector((state) => state.editor.save === 'saved');
  return (
    <Disclosure title="Print at true size" label="Print at true size">
      <Txt as="small">
        Print at 100 %, never “fit to page”; then lay a ruler on the proving ruler at the foot of the page.
      </Txt>
      {saved ? (
        <Row wrap>
          {FILES.map(({ file, name }) => (
            <FileLink key={file} href={`/api/paper/${ticket.id}/${file}`} name={name} />
          ))}
        </Row>
      ) : (
        <Txt as="small" tone="graphite" live>
          Saving first, so that the paper is of today.
        </Txt>
      )}
    </Disclosure>
  );
}
