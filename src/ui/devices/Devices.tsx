'use client';
import { format } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { Field } from '../primitives/Field';
import { HouseBar } from '../primitives/HouseBar';
import { Notice } from '../primitives/Notice';
import type { Problem } from '@/core/model/result';
import { ask } from '../primitives/ask';
import { deviceName, nameDevice } from './deviceName';

const Room = styled.main`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
  align-items: start;
  gap: 14px;
  max-width: 1240px;
  margin: 0 auto;
  padding: 16px 20px 40px;
  > h1,
  > .told {
    grid-column: 1 / -1;
    font-size: 21px;
  }
  > .told {
    font-size: inherit;
  }
  > .told:empty {
    display: none;
  }
  p {
    margin-bottom: 10px;
    color: var(--ink-soft);
    font-size: 14px;
  }
  form {
    display: flex;
    align-items: flex-end;
    gap: 8px;
  }
  form > div:first-child {
    flex: 1;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 10px;
    padding: 7px 0;
    border-top: 1px solid var(--line);
  }
  li span {
    margin-right: auto;
  }
  li small {
    display: block;
    color: var(--ink-soft);
    font-size: 13px;
  }
  ul {
    margin-top: 12px;
  }
  code {
    display: block;
    margin-top: 6px;
    font: 600 16px var(--mono);
    overflow-wrap: anywhere;
    user-select: all;
  }
`;

/** A key of a device or a script. */
interface Key {
  id: number;
  name: string;
  madeAt: string;
  usedAt: string | undefined;
}

export interface DevicesProps {
  keys: Key[];
  sessions: { device: string; openedAt: string; endsAt: string }[];
  /** Whether the shop has a passcode. */
  passcode: boolean;
  /** Whether this page came over the network. */
  network: boolean;
}

const day = (at: string) => format(new Date(at), 'd MMM yyyy, HH:mm');

const neverChanges = () => () => undefined;

/** One line of text and the button that sends it off; empty again when that went well. */
function OneLine({
  label,
  button,
  secret,
  onSend,
  start = '',
}: {
  label: string;
  button: string;
  secret?: boolean;
  start?: string;
  /** What is wrong with it, or nothing. */
  onSend: (text: string) => Promise<string | undefined>;
}) {
  const [text, setText] = useState(start);
  const [wrong, setWrong] = useState<string>();
  const send = async () => {
    const problem = await onSend(text);
    setWrong(problem);
    if (problem === undefined) setText(start && text);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <Field
        label={label}
        plain
        value={text}
        onChange={(typed) => {
          setText(typed);
          setWrong(undefined);
        }}
        problem={wrong}
        {...(secret ? { type: 'password' as const } : {})}
      />
      <Button type="submit" isDisabled={text.trim() === ''}>
        {button}
      </Button>
    </form>
  );
}

type Send = (method: string, path: string, words: string, body?: unknown) => Promise<string | undefined>;

/** Who comes in: what this device is called, keys for devices and scripts, and who is signed in over the network. */
export function Devices({ keys, sessions, passcode, network }: DevicesProps) {
  const router = useRouter();
  const [told, setTold] = useState('');
  const send: Send = async (method, path, words, document) => {
    const answer = await ask(method, path, document);
    if (!answer.ok) return wordsOf(answer.problems);
    setTold(words);
    router.refresh();
    return undefined;
  };
  return (
    <>
      <HouseBar at="devices" />
      <Room>
        <h1>Devices</h1>
        <div className="told">{told && <Notice>{told}</Notice>}</div>
        <ThisDevice network={network} onTold={setTold} />
        <Keys keys={keys} onSend={send} />
        <OnTheNetwork sessions={sessions} passcode={passcode} network={network} onSend={send} />
        <Card aria-labelledby="stand-ins">
          <h2 id="stand-ins">Gauges and read-outs</h2>
          <p>
            What sends its lines to /api/device-lines is heard where a size is measured at the lathe; one that types, as
            a keyboard does, needs nothing. Without one at hand there are two that stand in:
          </p>
          <ul>
            <li>
              <Link href="/devices/caliper" prefetch={false}>
                Caliper
              </Link>
            </li>
            <li>
              <Link href="/devices/read-out" prefetch={false}>
                Read-out of two axes
              </Link>
            </li>
          </ul>
        </Card>
      </Room>
    </>
  );
}

const wordsOf = (problems: readonly Problem[]): string => problems.map(({ message }) => message).join('; ');

function ThisDevice({ network, onTold }: Pick<DevicesProps, 'network'> & { onTold: (words: string) => void }) {
  // The server does not know it: only this browser does.
  const called = useSyncExternalStore(neverChanges, deviceName, () => undefined);
  const signOut = async () => {
    await ask('POST', '/api/sign-out', {});
    // Pages that open without a net are for who is signed in (public/sw.js).
    if ('caches' in window) await caches.delete('shingle-pages');
    window.location.assign('/sign-in');
  };
  return (
    <Card>
      <h2>This device</h2>
      <p>Its name is offered wherever a decision is signed, and later stands in the log.</p>
      {called !== undefined && (
        <OneLine
          label="Called"
          button="Keep"
          start={called}
          onSend={async (name) => {
            nameDevice(name);
            onTold(`This device is “${name.trim()}” from now on.`);
            return undefined;
          }}
        />
      )}
      {network && (
        <p style={{ marginTop: 14 }}>
          <Button onPress={() => void signOut()}>Sign out</Button>
        </p>
      )}
    </Card>
  );
}

function Keys({ keys, onSend }: Pick<DevicesProps, 'keys'> & { onSend: Send }) {
  const router = useRouter();
  const [made, setMade] = useState<{ name: string; key: string }>();
  const make = async (name: string): Promise<string | undefined> => {
    const answer = await ask<{ key: string }>('POST', '/api/keys', { name });
    if (!answer.ok) return wordsOf(answer.problems);
    setMade({ name, key: answer.value.key });
    router.refresh();
    return undefined;
  };
  return (
    <Card>
      <h2>Keys for devices and scripts</h2>
      <p>
        A gauge, a read-out or a script that writes here without a page sends its key with every request:{' '}
        <span style={{ fontFamily: 'var(--mono)' }}>Authorization: Bearer …</span>
      </p>
      <OneLine label="For what" button="Make a key" onSend={make} />
      {made && (
        <Notice actions={<Button onPress={() => setMade(undefined)}>I have it</Button>}>
          The key of {made.name}. It is shown this once; write it into the device now.
          <code>{made.key}</code>
        </Notice>
      )}
      <ul aria-label="Keys">
        {keys.map(({ id, name, madeAt, usedAt }) => (
          <li key={id}>
            <span>
              {name}
              <small>
                made {day(madeAt)}, {usedAt ? `used last ${day(usedAt)}` : 'not used yet'}
              </small>
            </span>
            <Button
              aria-label={`Take back the key of ${name}`}
              onPress={() => void onSend('DELETE', `/api/keys/${id}`, `The key of ${name} opens nothing any more.`)}
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
      {keys.length === 0 && <p>No key is out.</p>}
    </Card>
  );
}

function OnTheNetwork({ sessions, passcode, network, onSend }: Omit<DevicesProps, 'keys'> & { onSend: Send }) {
  return (
    <Card>
      <h2>On the shop’s network</h2>
      <p>
        {passcode
          ? 'A passcode is set. A device that knows it is let in for two weeks.'
          : 'No passcode is set: Shingle is on this machine alone.'}{' '}
        How a tablet is let in is written in docs/running.md.
      </p>
      {network ? (
        <p>The passcode is changed on the machine that Shingle runs on.</p>
      ) : (
        <OneLine
          label={passcode ? 'Another passcode' : 'Passcode'}
          button="Set"
          secret
          onSend={(text) =>
            onSend('PUT', '/api/passcode', 'The passcode is set; devices on the network sign in with it.', {
              passcode: text,
            })
          }
        />
      )}
      <ul aria-label="Signed in">
        {sessions.map(({ device, openedAt, endsAt }) => (
          <li key={device + openedAt}>
            <span>
              {device}
              <small>
                since {day(openedAt)}, until {day(endsAt)}
              </small>
            </span>
          </li>
        ))}
      </ul>
      {sessions.length > 0 && (
        <Button onPress={() => void onSend('DELETE', '/api/sessions', 'Every device must sign in again.')}>
          Sign all out
        </Button>
      )}
    </Card>
  );
}
