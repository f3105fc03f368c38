import { writeCsv } from '@zt/core/files/stitchFiles/csv';
import { writeJson } from '@zt/core/files/stitchFiles/json';
import type { StitchFile } from '@zt/core/files/stitchFiles/stitchFile';
import { useRouter } from 'expo-router';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { handOver } from '../../hooks/handOver';
import { useTicket } from '../../hooks/useTicket';
import { type StitchOut, useStitchOut } from './useStitchOut';

const writeSvg = async (file: StitchFile): Promise<string> =>
  (await import('../../files/svgFiles')).writeSvg(file);

interface Form {
  name: string;
  type: string;
  write: (file: StitchFile) => string | Promise<string>;
}

const FORMS: readonly Form[] = [
  { name: 'CSV', type: 'text/csv', write: writeCsv },
  { name: 'JSON', type: 'application/json', write: writeJson },
  { name: 'SVG', type: 'image/svg+xml', write: writeSvg },
];

/** The stitches to hand on, in each of the forms. */
function HandOn({ out }: { out: StitchOut }) {
  const { name, design } = useTicket('name', 'design');
  const called = design.name || name || 'design';
  const file: StitchFile = {
    name: called,
    stops: out.plan.stops.map(({ hex, called: ownName }) => ({ hex, name: ownName })),
    stitches: out.answer.stitches,
  };
  const fileName = called.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <>
      <Txt as="small">
        Every penetration in mm about the visible centre, with its kind and its colour stop.
      </Txt>
      <Row gap={8} wrap>
        {FORMS.map(({ name: form, type, write }) => (
          <Press
            key={form}
            title={form}
            label={`Stitches as ${form}`}
            onPress={async () =>
              handOver(await write(file), type, `${fileName}.stitches.${form.toLowerCase()}`)
            }
          />
        ))}
      </Row>
    </>
  );
}

/** Stitches as a file: out, in open forms with mm, stops and kinds; and in again. */
export function StitchFiles() {
  const { id } = useTicket('id');
  const router = useRouter();
  const out = useStitchOut();
  return (
    <Disclosure title="Stitches as a file">
      {out ? <HandOn out={out} /> : null}
      <Press
        kind="link"
        title="Open a stitch file"
        onPress={() => router.replace(`/ticket/${id}/stitches`)}
      />
    </Disclosure>
  );
}
