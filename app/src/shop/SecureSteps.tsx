import { FileLink } from '../components/ui/FileLink';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { useOwnDeviceQuery } from '../services/devicesApi';

/**
 * On a device that speaks plain http with the shop's computer: what does not work so, and how its certificate comes to
 * be trusted. Null where the page is secure already, or https is not spoken.
 */
export function useSecurePage(): string | null {
  const { data } = useOwnDeviceQuery();
  const port = data?.securePort ?? null;
  if (port === null || window.isSecureContext) return null;
  return `https://${window.location.hostname}:${port}/`;
}

/** The steps by which a phone comes to trust the shop's computer. */
export function SecureSteps({ page }: { page: string }) {
  return (
    <Stack gap={8}>
      <Txt>
        Over plain http the screen goes dark while you work, and the app is not kept for when the wireless
        fails. Once this device trusts the shop’s own certificate, both work, and nobody in the network can
        read along.
      </Txt>
      <Txt>1. Fetch the certificate. It is this shop’s own; nobody else has its key.</Txt>
      <Row>
        <FileLink href="/api/certificate" name="Fetch the certificate" fileName="shop.crt" />
      </Row>
      <Txt>
        2. In the device’s settings look for “certificate”. Where it asks what kind, it is a CA certificate;
        choose the file. Where it says that a profile was downloaded, install that, then switch it on under
        the trust settings for certificates.
      </Txt>
      <Txt>3. Open the shop by https, and keep that page on the home screen.</Txt>
      <Row>
        <Press title="Open it by https" onPress={() => window.location.assign(page)} />
      </Row>
    </Stack>
  );
}
