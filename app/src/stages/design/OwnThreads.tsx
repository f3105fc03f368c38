import { nameOfColour } from '@zt/core/base/colour/colour';
import type { Part } from '@zt/core/model/ticket/part';
import { dressed } from '@zt/core/stages/design/parts/stopActs';
import { Disclosure } from '../../components/ui/Disclosure';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { ColourField } from '../piece/ColourField';
import { useParts } from './useParts';

/** The threads of one part among several, which it may share with others: changed here they are changed of it alone. */
export function OwnThreads({ part }: { part: Part }) {
  const { parts, put } = useParts();
  return (
    <Stack gap={4}>
      {part.colours.map(({ hex, name }, k) => (
        <Row key={k} gap={10} align="start">
          <Swatch hex={hex} width={28} height={28} />
          <Stack grow>
            <Disclosure title={`its thread ${k + 1}: ${name}`} label={`thread ${k + 1} of this part`}>
              <ColourField
                label={`Thread ${k + 1} of this part`}
                hex={hex}
                onHex={(next) =>
                  put(
                    dressed(parts, (stop) =>
                      stop.part === part.id && stop.stop === k
                        ? { hex: next, name: nameOfColour(next) }
                        : null,
                    ),
                    `thread ${k} of ${part.id}`,
                  )
                }
              />
            </Disclosure>
          </Stack>
        </Row>
      ))}
    </Stack>
  );
}
