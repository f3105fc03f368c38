import type { Photo } from '@zt/core/model/photo';
import { createElement } from 'react';
import { View } from 'react-native';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { photoAddress } from '../services/photosApi';
import { usePalette } from '../theme/palette';

interface PhotosProps {
  photos: readonly Photo[];
  /** Takes one away; without it they are only looked at. */
  onRemove?: (photo: Photo) => void;
  size?: number;
}

/** Photos of a piece, each with when it was taken. */
export function Photos({ photos, onRemove, size = 132 }: PhotosProps) {
  const p = usePalette();
  return (
    <Row gap={10} wrap role="group" aria-label="Photos">
      {photos.map((photo) => (
        <View key={`${photo.moment} ${photo.id}`} style={{ width: size, gap: 2 }}>
          {createElement('img', {
            src: photoAddress(photo.id),
            alt: `The piece, ${photo.moment}`,
            width: size,
            height: size,
            loading: 'lazy',
            style: { objectFit: 'cover', border: `1.5px solid ${p.ink}` },
          })}
          <Txt as="small">{photo.moment}</Txt>
          {onRemove ? (
            <Press
              kind="link"
              title="take away"
              label={`Take the photo ${photo.moment} away`}
              onPress={() => onRemove(photo)}
            />
          ) : null}
        </View>
      ))}
    </Row>
  );
}
