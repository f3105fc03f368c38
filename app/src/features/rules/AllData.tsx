import { CSV_TABLES } from '@zt/core/model/csvTables';
import { countOf } from '../../components/figures';
import { FileLink } from '../../components/ui/FileLink';
import { FilePress } from '../../components/ui/FilePress';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useBringInMutation } from '../../services/backupsApi';

interface ServerError {
  data?: { message?: string; issues?: { path: string; message: string }[] };
}

/** Why a document was not brought in: the first lines of it that cannot be read. */
function whyNot(error: unknown): string {
  const { message, issues = [] } = (error as ServerError).data ?? {};
  const named = issues.slice(0, 3).map(({ path, message: why }) => `${path}: ${why}`);
  return [...named, message ?? 'The shop’s computer does not answer.', 'Nothing was brought in.'].join(' ');
}

/** All data as one open document: taken along, or brought in from another shop. */
export function AllData() {
  const [bringIn, { data, error, isLoading }] = useBringInMutation();
  return (
    <Stack gap={8}>
      <Txt>
        All tickets, the shelf with its ledger, these rules and the logbook as one JSON document, in an open
        form. Brought in, it adds what is not here yet; what is here stays as it is.
      </Txt>
      <Row wrap>
        <FileLink href="/api/export" name="All data as JSON" />
        <FileLink href="/api/export/schema" name="Its schema" />
        {CSV_TABLES.map((table) => (
          <FileLink key={table} href={`/api/export/csv/${table}`} name={`${table} as CSV`} />
        ))}
        <FilePress
          title="Bring in a document"
          label="All data of a shop"
          accept=".json,application/json"
          onFile={async (file) => void bringIn(await file.text())}
        />
      </Row>
      {isLoading ? <Txt live>Backing up what is here, then bringing it in.</Txt> : null}
      {error ? (
        <Txt tone="madder" live>
          {whyNot(error)}
        </Txt>
      ) : null}
      {data ? (
        <Txt live>
          {`Brought in: ${countOf(data.tickets, 'ticket')}, ${countOf(data.items, 'thing')} on the shelf, ${countOf(data.entries, 'log entry').replace('entrys', 'entries')}${data.rules ? ', the house rules' : ''}. ${data.known} were here already.`}
        </Txt>
      ) : null}
    </Stack>
  );
}
