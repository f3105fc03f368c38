import type { KeptBackup } from '@zt/core/model/api';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useBackupsQuery, useMakeBackupMutation, useRestoreBackupMutation } from '../../services/backupsApi';

const OCCASIONS: Record<KeptBackup['kind'], string> = {
  daily: 'of the day',
  weekly: 'of the week',
  'before-migration': 'before the data changed its form',
  'before-restore': 'before going back to another',
  'by-hand': 'made here',
};
const MEGABYTE = 1_000_000;
const sizeOf = (bytes: number): string => `${Math.max(0.1, bytes / MEGABYTE).toFixed(1)} MB`;

/** The backups that are kept, where, and how they are made and brought back. */
export function Backups() {
  const { data } = useBackupsQuery(undefined, { refetchOnMountOrArgChange: true });
  const [make, making] = useMakeBackupMutation();
  const [restore, restoring] = useRestoreBackupMutation();
  if (!data) return null;
  const { folder, kept, most, photos } = data;
  if (folder === null) return <Txt>The data is on another computer: it is backed up there.</Txt>;
  return (
    <Stack gap={8}>
      <Txt>{`By itself the shop’s computer makes one a day and one a week, and keeps the last ${most.daily} and ${most.weekly} of them in ${folder}. Each was opened and looked into when it was made.`}</Txt>
      <Txt as="small" tone="graphite">
        Going back to one brings all of the shop back as it was then, on every device. What is there now is
        backed up first, so that you can come back.
      </Txt>
      {photos && photos.photos > 0 ? (
        <Txt>{`${photos.photos === 1 ? 'One photo has its copy' : `${photos.photos} photos have their copies`} beside them, ${sizeOf(photos.bytes)}; going back to a backup keeps them all.`}</Txt>
      ) : null}
      <Row align="middle">
        <Press title="Make one now" disabled={making.isLoading} onPress={() => void make()} />
        <Txt as="small" tone={making.isError ? 'madder' : 'graphite'} live>
          {making.isLoading
            ? 'making it'
            : making.isError
              ? 'It could not be made. Nothing was changed.'
              : ''}
        </Txt>
      </Row>
      {restoring.isLoading ? <Txt live>Backing up what is here, then going back.</Txt> : null}
      {restoring.isError ? (
        <Txt tone="madder" live>
          That backup cannot be used: it is torn, or of a newer program. Nothing was changed.
        </Txt>
      ) : null}
      {kept.map(({ name, kind, madeAt, bytes }) => (
        <Ruled key={name} room={6}>
          <Row align="middle" wrap>
            <Stack grow>
              <Txt as="strong">{format(parseISO(madeAt), 'd MMM yyyy, HH:mm')}</Txt>
              <Txt as="small" tone="graphite">{`${OCCASIONS[kind]}, ${sizeOf(bytes)}`}</Txt>
            </Stack>
            <Press
              title="Go back to it"
              label={`Go back to the backup of ${format(parseISO(madeAt), 'd MMM yyyy, HH:mm')}`}
              disabled={restoring.isLoading}
              onPress={() => void restore(name)}
            />
            <FileLink href={`/api/backups/${name}`} name="Fetch it" fileName={name} />
          </Row>
        </Ruled>
      ))}
    </Stack>
  );
}
