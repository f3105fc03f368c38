import { DEVICE_ROLES, type DeviceRole, type PairingCode } from '@zt/core/model/device';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { useState } from 'react';
import Svg, { Path, Rect } from 'react-native-svg';
import { Choice } from '../../components/ui/Choice';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import {
  useAskCodeMutation,
  useDevicesQuery,
  useNetworkQuery,
  useOpenNetworkMutation,
  useRevokeDeviceMutation,
} from '../../services/devicesApi';
import { messageOf } from '../../services/messageOf';

const ROLE_WORDS: Record<DeviceRole, string> = { owner: 'an owner’s', helper: 'a helper’s' };
const ROLES = DEVICE_ROLES.map((id) => ({ id, name: ROLE_WORDS[id] }));
const dayOf = (at: string): string => format(parseISO(at), 'd MMM yyyy');

/** Room around the squares, which cameras need, in squares. */
const MARGIN = 4;
const SIDE = 232;

/** The page that takes the code, as squares for a camera: dark on light by day and by night. */
function Squares({ squares }: { squares: boolean[][] }) {
  const size = squares.length + 2 * MARGIN;
  const path = squares
    .flatMap((row, y) => row.map((dark, x) => (dark ? `M${x + MARGIN} ${y + MARGIN}h1v1h-1z` : '')))
    .join('');
  return (
    <Svg
      width={SIDE}
      height={SIDE}
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label="The page to open, for a camera"
    >
      <Rect width={size} height={size} fill="#FFFFFF" />
      <Path d={path} fill="#000000" />
    </Svg>
  );
}

/** A code that was asked for: for the camera of the other device, and for its keys. */
function Code({ asked }: { asked: PairingCode }) {
  const { code, pages, squares, expiresAt } = asked;
  const [page] = pages;
  if (!page || !squares)
    return (
      <Txt live>This computer has no address in a network now. Join it to the wireless, then ask again.</Txt>
    );
  return (
    <Row wrap gap={16}>
      <Squares squares={squares} />
      <Stack gap={6} grow>
        <Txt as="huge" testID="pairing-code">{`${code.slice(0, 3)} ${code.slice(3)}`}</Txt>
        <Txt>{`Point the other device’s camera at the squares, or open ${page.split('?')[0]} there and enter the digits.`}</Txt>
        <Txt
          as="small"
          tone="graphite"
        >{`Good until ${format(parseISO(expiresAt), 'HH:mm')}, for one device.`}</Txt>
      </Stack>
    </Row>
  );
}

/** Whether other devices are answered at all, switched on the shop's computer itself. Returns whether they are. */
function useOpenNetwork() {
  const { data } = useNetworkQuery(undefined, { refetchOnMountOrArgChange: true });
  const [open, { error }] = useOpenNetworkMutation();
  const isOpen = data?.isOpen ?? false;
  const title = 'Answer other devices in this network, until the program ends';
  const toggle = data?.maySwitch ? (
    <Stack gap={4}>
      <Tick title={title} on={isOpen} onToggle={(on) => void open(on)} />
      {error ? (
        <Txt live tone="madder">
          {messageOf(error, 'The shop’s computer does not answer.')}
        </Txt>
      ) : null}
    </Stack>
  ) : null;
  return { isOpen, toggle };
}

/** The devices that may work with this shop, how another is paired, and how one is revoked. */
export function Devices() {
  const { data = [] } = useDevicesQuery(undefined, { refetchOnMountOrArgChange: true });
  const [ask, { data: asked }] = useAskCodeMutation();
  const [revoke] = useRevokeDeviceMutation();
  const [role, setRole] = useState<DeviceRole>('owner');
  const { isOpen, toggle } = useOpenNetwork();
  return (
    <Stack gap={8}>
      <Txt>
        A phone at the hooping table is paired once. A helper’s device works on pieces; it cannot go back to a
        backup, take all data along, take things away or pair others.
      </Txt>
      {data.length === 0 ? <Txt as="small">No other device is paired.</Txt> : null}
      {data.map(({ id, name, role: its, pairedAt, seenAt }) => (
        <Ruled key={id} room={6}>
          <Row align="middle" wrap>
            <Stack grow>
              <Txt as="strong">{name}</Txt>
              <Txt as="small" tone="graphite">
                {`${ROLE_WORDS[its]}, paired ${dayOf(pairedAt)}${seenAt ? `, last here ${dayOf(seenAt)}` : ''}`}
              </Txt>
            </Stack>
            <Press title="Revoke" label={`Revoke ${name}`} onPress={() => void revoke(id)} />
          </Row>
        </Ruled>
      ))}
      {toggle}
      {isOpen ? (
        <>
          <Choice label="The next one is" small options={ROLES} chosen={role} onChoose={setRole} />
          <Row>
            <Press title="Ask for a code" onPress={() => void ask(role)} />
          </Row>
          {asked ? <Code asked={asked} /> : null}
        </>
      ) : null}
    </Stack>
  );
}
