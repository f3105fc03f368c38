import { MOST_PHOTOS, PHOTO_MOMENTS, type PhotoMoment } from '@zt/core/model/photo';
import { useEffect, useRef, useState } from 'react';
import { FilePress } from '../../components/ui/FilePress';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useTicket, useTicketActs } from '../../hooks/useTicket';
import { useKeepPhotoMutation } from '../../services/photosApi';
import { Photos } from '../../shop/Photos';
import type { WorkerJob } from '../../workers/inWorker';
import type { Prepared } from '../../workers/photo.worker';
import { preparingPhoto } from '../../workers/preparingPhoto';

/** Photos of the piece: taken with the camera or chosen, made small and plain, and kept on the shop's computer. */
export function PhotoFields() {
  const { log } = useTicket('log');
  const { change } = useTicketActs();
  const [keep] = useKeepPhotoMutation();
  const [word, setWord] = useState('');
  const job = useRef<WorkerJob<Prepared> | null>(null);
  const latest = useRef(log.photos);
  latest.current = log.photos;
  useEffect(() => () => job.current?.stop(), []);
  const set = (photos: typeof log.photos) => change({ stage: 'log', set: { photos } });
  const take = async (file: File, moment: PhotoMoment) => {
    setWord('Making it small, and taking place and device out of it.');
    job.current?.stop();
    job.current = preparingPhoto(file);
    const worked = await job.current.done;
    job.current = null;
    if (worked.state === 'stopped') return setWord('');
    if (worked.state === 'failed') return setWord(worked.message);
    const photo = worked.value;
    if (!photo.ok) return setWord(`${file.name}: ${photo.why}`);
    const kept = await keep({ id: photo.id, bytes: new Blob([photo.bytes], { type: 'image/jpeg' }) });
    if (kept.error)
      return setWord(
        'The photo is not kept: the shop’s computer does not answer. Take it again once it does.',
      );
    set([...latest.current, { id: photo.id, moment }].slice(-MOST_PHOTOS));
    setWord(`The photo ${moment} is kept.`);
  };
  const isFull = log.photos.length >= MOST_PHOTOS;
  return (
    <Stack gap={8}>
      {log.photos.length > 0 ? (
        <Photos
          photos={log.photos}
          onRemove={(gone) => {
            set(log.photos.filter((photo) => photo !== gone));
            setWord(`The photo ${gone.moment} is taken away; Undo brings it back.`);
          }}
        />
      ) : null}
      {isFull ? (
        <Txt as="small">{`${MOST_PHOTOS} are the most of one ticket.`}</Txt>
      ) : (
        <Row gap={10} align="middle" wrap>
          <Txt as="label" tone="graphite">
            Photo
          </Txt>
          {PHOTO_MOMENTS.map((moment) => (
            <FilePress
              key={moment}
              kind="link"
              title={moment}
              label={`A photo ${moment}`}
              accept="image/*"
              onFile={(file) => void take(file, moment)}
            />
          ))}
        </Row>
      )}
      {word ? (
        <Row gap={8} align="middle" wrap>
          <Txt as="small" live testID="photo-word">
            {word}
          </Txt>
          {job.current ? <Press kind="link" title="stop" onPress={() => job.current?.stop()} /> : null}
        </Row>
      ) : null}
    </Stack>
  );
}
