'use client';

import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { callApi, newId, sentenceOf } from '../api';

/** A name is all that a new build needs. */
export function NewBuild() {
  const router = useRouter();
  const [ids] = useState(() => ({ id: newId(), revisionId: newId() }));
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  const make = async () => {
    try {
      await callApi('POST', '/api/builds', { ...ids, name: name.trim() });
      router.push(`/builds/${ids.id}/A/brief`);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Row
      as="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') void make();
      }}
    >
      <TextInput
        boxed
        aria-label="Name of the new build"
        placeholder="Name of a new build"
        value={name}
        maxLength={80}
        onChange={(event) => setName(event.target.value)}
      />
      <Button variant="contained" type="submit" disabled={name.trim() === ''}>
        Start it
      </Button>
      {problem ? (
        <Typography component="span" color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </Row>
  );
}
