import { useEffect, useState } from 'react';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { keepApp, type NewerApp } from '../services/appShell';

/** Offers a newer app once it is here. Nothing changes under the hands of whoever is at work. */
export function NewerAppBar() {
  const [newer, setNewer] = useState<NewerApp | null>(null);
  useEffect(() => keepApp(setNewer), []);
  if (!newer) return null;
  return (
    <Callout tone="chalk" role="status" gap={0}>
      <Row align="middle" wrap spread>
        <Txt as="small">A newer version of this app is here. Your work stays as it is.</Txt>
        <Press title="Take it now" onPress={newer.take} />
      </Row>
    </Callout>
  );
}
