import { useEffect, useState } from 'react';
import { Notice } from '../components/ui/Notice';
import { Press } from '../components/ui/Press';
import { Stack } from '../components/ui/Stack';
import { TextField } from '../components/ui/TextField';
import { Txt } from '../components/ui/Txt';
import { forgetWhatWasRead } from '../services/appShell';
import { callThisDevice, MOST_LETTERS, thisDevice } from '../services/device';
import { usePairMutation } from '../services/devicesApi';
import { messageOf } from '../services/messageOf';

const CODE = /^\d{6}$/;

/** The code in the address that the shop's computer shows as squares for the camera. */
const codeInAddress = (): string => new URLSearchParams(window.location.search).get('code') ?? '';

const whyNot = (error: unknown): string =>
  messageOf(error, 'The shop’s computer does not answer. Try again.');

/** On a device that the shop's computer does not know yet: the code, and what the device is called. */
export function PairThisDevice() {
  const [pair, { error, isLoading, isError }] = usePairMutation();
  const [code, setCode] = useState(codeInAddress);
  const [name, setName] = useState(thisDevice().name);
  // Whoever is revoked reads nothing more here of what was kept to be read.
  useEffect(() => void forgetWhatWasRead(), []);
  const enter = async () => {
    const answer = await pair({ code, name });
    if (answer.error) return;
    callThisDevice(name);
    window.location.replace('/');
  };
  return (
    <Notice title="Pair this device">
      <Txt>
        On the shop’s computer open House rules, Devices, and ask for a code. It pairs one device, within five
        minutes.
      </Txt>
      <Stack gap={10}>
        <TextField
          label="The six digits"
          value={code}
          onText={(text) => setCode(text.replace(/\D/g, '').slice(0, 6))}
          keyboard="decimal"
        />
        <TextField
          label="What this device is called"
          value={name}
          onText={(text) => setName(text.slice(0, MOST_LETTERS))}
        />
        <Press
          kind="main"
          title="Pair it"
          disabled={!CODE.test(code) || name.trim() === '' || isLoading}
          onPress={() => void enter()}
        />
        {isError ? (
          <Txt tone="madder" live>
            {whyNot(error)}
          </Txt>
        ) : null}
      </Stack>
    </Notice>
  );
}
