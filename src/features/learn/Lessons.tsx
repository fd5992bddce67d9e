import frameCss from '@/ui/layout/frame.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { TextArea } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { learnedOf } from '@/words/learn/learned';
import type { RevisionRecord } from '@/core/car/records/records';
import { useReader } from '@/ui/reader';
import { callApi, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';

/** What a revision taught: written from the record, the builder's to change; and whether the revision is closed. */
export function Lessons({ revision }: { revision: RevisionRecord }) {
  const { revisions, runs, failures, session, revision: open, keepRevision } = useBuild();
  const { reader } = useReader();
  const fromRecord = learnedOf(
    revision,
    { revisions: [...revisions], runs: [...runs], failures: [...failures] },
    reader,
  ).join('\n');
  const saved = revision.learned;
  const [typed, setTyped] = useState<string>();
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState<string>();
  const text = typed ?? saved ?? fromRecord;
  const child = revisions.find(({ parentId }) => parentId === revision.id);
  const send = async (given: { learned?: string; closed?: boolean }) => {
    setProblem(undefined);
    setSaid('saving');
    try {
      if (revision.id === open.id) await session.flush();
      if (given.closed === true && revision.id === open.id && session.snapshot().save !== 'saved') {
        setSaid('');
        return setProblem(
          'Not closed: its last changes are not saved yet. Look at what the head of the page says, and close it again.',
        );
      }
      const after = await callApi<RevisionRecord>('PATCH', `/api/revisions/${revision.id}`, given);
      keepRevision(after);
      if (given.closed !== undefined && revision.id === open.id) session.setClosed(given.closed);
      if (given.learned !== undefined) setTyped(undefined);
      setSaid('saved');
    } catch (error) {
      setSaid('');
      setProblem(`Not saved, kept here: ${sentenceOf(error)}`);
    }
  };
  return (
    <Box component="section" sx={{ maxWidth: 880, mt: 2.25 }} aria-label={`What ${revision.letter} taught`}>
      <Typography variant="label">
        <Typography variant="strong">What did we learn from {revision.letter}?</Typography>
        <span role="status" aria-label="Lessons">
          {said || (saved === undefined ? 'written from the record' : 'in your own words')}
        </span>
      </Typography>
      <TextArea
        aria-label={`What we learned from ${revision.letter}`}
        rows={Math.max(
          4,
          Math.min(
            14,
            text.split('\n').reduce((sum, line) => sum + Math.max(1, Math.ceil(line.length / 120)), 0),
          ),
        )}
        maxLength={4000}
        placeholder="Nothing on record yet: log a run or a failure, or write it down yourself."
        value={text}
        onChange={(event) => setTyped(event.target.value)}
      />
      {problem ? (
        <Typography color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
      <Row sx={{ mt: 0.75 }}>
        <Button
          disabled={typed === undefined || typed.trim() === '' || typed === saved}
          onClick={() => void send({ learned: typed! })}
        >
          Keep these words
        </Button>
        {saved !== undefined || typed !== undefined ? (
          <Button
            onClick={() => {
              setTyped(undefined);
              if (saved !== undefined) void send({ learned: '' });
            }}
          >
            Write it from the record again
          </Button>
        ) : null}
        <span className={frameCss.push} />
        {child ? (
          <Typography component="span" color="textSecondary">
            {revision.letter} is closed: {child.letter} stands on it.
          </Typography>
        ) : revision.closedAt ? (
          <Button onClick={() => void send({ closed: false })}>Open {revision.letter} again</Button>
        ) : (
          <Button
            title="Its build can no longer be changed; runs and failures can still be noted"
            onClick={() => void send({ closed: true })}
          >
            Close revision {revision.letter}
          </Button>
        )}
      </Row>
    </Box>
  );
}
