import type { TypefaceEntry } from '@zt/core/catalogue/faces';
import type { FaceId } from '@zt/core/model/ticket/lettering';
import { useEffect, useState } from 'react';
import { Pressable } from 'react-native';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

interface FaceSampleProps {
  text: string;
  faces: readonly TypefaceEntry[];
  chosen: FaceId;
  onFace: (face: FaceId) => void;
}

const familyOf = (id: FaceId): string => `face-${id}`;

/** Has the browser fetch the typefaces, so that a name is seen in each before it is chosen. */
function useFaces(faces: readonly TypefaceEntry[]): boolean {
  const [here, setHere] = useState(false);
  useEffect(() => {
    let gone = false;
    const all = faces.map(async ({ id, file }) => {
      const face = new FontFace(familyOf(id), `url(/faces/${file.split('/').at(-1)})`);
      document.fonts.add(await face.load());
    });
    void Promise.allSettled(all).then(() => {
      if (!gone) setHere(true);
    });
    return () => {
      gone = true;
    };
  }, [faces]);
  return here;
}

const SAMPLE_LETTERS = 7;

/** The typefaces, each showing the beginning of what is to be set. */
export function FaceSample({ text, faces, chosen, onFace }: FaceSampleProps) {
  const p = usePalette();
  const here = useFaces(faces);
  const [line = ''] = text.trim().split('\n');
  const sample = line.slice(0, SAMPLE_LETTERS) || 'Anna';
  const { what = '' } = faces.find(({ id }) => id === chosen) ?? {};
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">{`Typeface: ${chosen}, ${what}`}</Txt>
      <Row gap={6} wrap role="radiogroup" aria-label="Typeface">
        {faces.map(({ id, name }) => (
          <Pressable
            key={id}
            role="radio"
            aria-checked={id === chosen}
            aria-label={name}
            tabIndex={id === chosen ? 0 : -1}
            onPress={() => onFace(id)}
            style={{
              minHeight: TARGET,
              flexBasis: '30%',
              flexGrow: 1,
              paddingHorizontal: 4,
              paddingVertical: 2,
              alignItems: 'center',
              justifyContent: 'center',
              borderWidth: 1.5,
              borderRadius: 6,
              borderColor: p.ink,
              backgroundColor: id === chosen ? p.ink : 'transparent',
            }}
          >
            <Txt
              aria-hidden
              lines={1}
              tone={id === chosen ? 'onInk' : 'ink'}
              style={{ fontSize: 20, lineHeight: 28, ...(here ? { fontFamily: familyOf(id) } : {}) }}
            >
              {sample}
            </Txt>
            <Txt as="small" tone={id === chosen ? 'onInk' : 'graphite'}>
              {name}
            </Txt>
          </Pressable>
        ))}
      </Row>
    </Stack>
  );
}
