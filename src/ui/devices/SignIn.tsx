'use client';
import { useState, useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { Mark } from '../primitives/Mark';
import { ask } from '../primitives/ask';
import { deviceName, nameDevice } from './deviceName';

const Page = styled.main`
  max-width: 420px;
  margin: 10vh auto 0;
  padding: 26px 28px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  h1 {
    margin: 14px 0 6px;
    font-size: 22px;
  }
  form {
    display: grid;
    gap: 14px;
    margin-top: 16px;
  }
  small {
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

const neverChanges = () => () => undefined;

/** Where a device comes in over the shop's network: its name, and the passcode of the shop. */
export function SignIn({ to }: { to: string }) {
  // The server does not know what this browser calls itself.
  const kept = useSyncExternalStore(neverChanges, deviceName, () => '');
  const [typed, setDevice] = useState<string>();
  const device = typed ?? kept;
  const [passcode, setPasscode] = useState('');
  const [wrong, setWrong] = useState<Record<string, string>>({});
  // What is being changed is not wrong any more; until then the form is not sent off again.
  const typing = (set: (text: string) => void) => (text: string) => {
    set(text);
    setWrong({});
  };
  const [asking, setAsking] = useState(false);
  const signIn = async () => {
    setAsking(true);
    const answer = await ask('POST', '/api/sign-in', { passcode, device });
    setAsking(false);
    if (!answer.ok)
      return setWrong(Object.fromEntries(answer.problems.map(({ path, message }) => [path || 'passcode', message])));
    nameDevice(device);
    // A whole new page: what was asked for without a session is asked for again.
    window.location.assign(to);
  };
  return (
    <Page>
      <Mark size={40} />
      <h1>Sign in</h1>
      <p>This Shingle is on the shop’s network. Its passcode lets a device in.</p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void signIn();
        }}
      >
        <div>
          <Field label="Name of this device" plain value={device} onChange={typing(setDevice)} problem={wrong.device} />
          <small>What is decided on it is signed with it: “lathe 1”, “office”.</small>
        </div>
        <Field
          label="Passcode"
          plain
          type="password"
          value={passcode}
          onChange={typing(setPasscode)}
          problem={wrong.passcode}
          autoFocus
        />
        <Button type="submit" $strong isDisabled={asking || passcode === '' || device.trim() === ''}>
          Sign in
        </Button>
      </form>
    </Page>
  );
}
