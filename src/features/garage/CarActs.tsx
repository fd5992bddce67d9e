'use client';

import garageCss from '@/features/garage/garage.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { GarageCar } from '@/core/advice/garage';
import { TextInput } from '@/ui/controls/TextInput';
import { callApi, sentenceOf } from '../api';
import { useAccess, useLooksOn } from '../session/access';
import { deleteUndoably } from '../session/deleting';

/** What can be done with a car from the garage. */
export function CarActs({ car }: { car: GarageCar }) {
  const router = useRouter();
  const role = useAccess()?.role;
  const looksOn = useLooksOn();
  const [act, setAct] = useState<'rename' | 'delete'>();
  const [problem, setProblem] = useState<string>();
  const doing = async (send: () => Promise<unknown>) => {
    try {
      await send();
      setAct(undefined);
      router.refresh();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const address = `/api/builds/${car.id}`;
  const rename = (name: string) => doing(() => callApi('PATCH', address, { name }));
  const remove = () =>
    doing(() =>
      deleteUndoably(
        address,
        `${car.name} deleted.`,
        () => undefined,
        () => router.refresh(),
      ),
    );
  return (
    <div className={garageCss.foot}>
      {act === undefined ? (
        <>
          <Button
            component={Link}
            variant="text"
            href={`/builds/${car.id}/${car.revision.letter}/learn?view=next`}
            aria-label={`What to do next with ${car.name}`}
          >
            what to do next
          </Button>
          <Button
            component={Link}
            variant="text"
            href={`/builds/${car.id}/${car.revision.letter}/chassis?view=space`}
            aria-label={`The car in space, ${car.name}`}
          >
            in space
          </Button>
          {looksOn ? null : (
            <Button variant="text" onClick={() => setAct('rename')}>
              rename
            </Button>
          )}
          {role === 'owner' ? (
            <Button
              component={Link}
              variant="text"
              href={`/builds/${car.id}/share`}
              aria-label={`Show ${car.name} to others`}
            >
              show
            </Button>
          ) : null}
          <Button variant="text" href={`${address}/file`} download>
            export
          </Button>
          {looksOn ? null : (
            <Button variant="text" onClick={() => setAct('delete')}>
              delete
            </Button>
          )}
        </>
      ) : null}
      {act === 'rename' ? (
        <NameForm
          label="New name"
          start={car.name}
          verb="Rename"
          onName={(name) => void rename(name)}
          onLeave={() => setAct(undefined)}
        />
      ) : null}
      {act === 'delete' ? (
        <Box role="group" aria-label={`Delete ${car.name}`} sx={{ py: 0.5 }}>
          <p>
            It goes with all its runs, prints and failures.{' '}
            <Button variant="link" href={`${address}/file`} download>
              Save its file first
            </Button>
            , then write its name.
          </p>
          <NameForm
            label={`Name of the build to delete, ${car.name}`}
            start=""
            verb="Delete it"
            asked={car.name}
            onName={() => void remove()}
            onLeave={() => setAct(undefined)}
          />
        </Box>
      ) : null}
      {problem ? (
        <Typography component="span" color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </div>
  );
}

interface NameFormProps {
  label: string;
  start: string;
  verb: string;
  /** What has to be written before it can be sent. */
  asked?: string;
  onName(name: string): void;
  onLeave(): void;
}

function NameForm({ label, start, verb, asked, onName, onLeave }: NameFormProps) {
  const [name, setName] = useState(start);
  const written = name.trim();
  const ready = asked === undefined ? written !== '' : written === asked;
  return (
    <Row
      as="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onName(written);
      }}
    >
      <TextInput
        boxed
        autoFocus
        aria-label={label}
        value={name}
        maxLength={80}
        {...(asked === undefined ? {} : { placeholder: asked })}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" disabled={!ready}>
        {verb}
      </Button>
      <Button variant="text" onClick={onLeave}>
        leave it
      </Button>
    </Row>
  );
}
