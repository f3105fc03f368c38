import { writeCsv } from '@zt/core/uses/stitchFiles/csv';
import { writeJson } from '@zt/core/uses/stitchFiles/json';
import type { StitchFile } from '@zt/core/uses/stitchFiles/stitchFile';
import { writeSvg } from '@zt/core/uses/stitchFiles/svg';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { handOver } from '../../hooks/handOver';
import { useTicket } from '../../hooks/useTicket';
import { useStitchOut } from './useStitchOut';

const FORMS: readonly { name: string; type: string; write: (file: StitchFile) => string }[] = [
  { name: 'CSV', type: 'text/csv', write: writeCsv },
  { name: 'JSON', type: 'application/json', write: writeJson },
  { name: 'SVG', type: 'image/svg+xml', write: writeSvg },
];

/** The stitches to hand on, in open forms: mm, stops, kinds. */
export function StitchFiles() {
  const { name, design } = useTicket('name', 'design');
  const out = useStitchOut();
  if (!out) return null;
  const called = design.name || name || 'design';
  const file: StitchFile = {
    name: called,
    stops: out.plan.stops.map(({ hex, called: name }) => ({ hex, name })),
    stitches: out.answer.stitches,
  };
  const fileName = called.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <Disclosure title="Stitches as a file">
      <Txt as="small">
        Every penetration in mm about the visible centre, with its kind and its colour stop.
      </Txt>
      <Row gap={8} wrap>
        {FORMS.map(({ name: form, type, write }) => (
          <Press
            key={form}
            title={form}
            label={`Stitches as ${form}`}
            onPress={() => handOver(write(file), type, `${fileName}.stitches.${form.toLowerCase()}`)}
          />
        ))}
      </Row>
    </Disclosure>
  );
}
