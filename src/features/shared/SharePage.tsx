'use client';

import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { BuildRecord } from '@/core/car/records/records';
import { GOOD_FOR_DAYS, type Share, SHOWABLE, type Shows } from '@/core/car/sharing/shares';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import { Select } from '@/ui/controls/Select';
import { Tick } from '@/ui/controls/Tick';
import { Row } from '@/ui/layout/Row';
import { When } from '@/ui/When';
import { SHOWABLE_WORDS, showsWords } from '@/words/people/sharing';
import { counted } from '@/words/lists';
import { House } from '../account/House';
import { useActs } from '../account/useActs';
import { callApi } from '../api';
import { LinkOnce } from './LinkOnce';

/** Photographs and tracks say most about where somebody lives: they are shown only where that is wished. */
const AT_FIRST: Shows = { failures: true, photos: false, tracks: false };

/** Who may look at a build, and what do they see? */
export function SharePage({ build, shares }: { build: BuildRecord; shares: readonly Share[] }) {
  const { problem, act } = useActs();
  const [shows, setShows] = useState<Shows>(AT_FIRST);
  const [days, setDays] = useState<number>();
  const [link, setLink] = useState<string>();
  const make = () =>
    act(async () => {
      const { token } = await callApi<{ token: string }>('POST', `/api/builds/${build.id}/shares`, {
        shows,
        ...(days === undefined ? {} : { goodForDays: days }),
      });
      setLink(`${window.location.origin}/shared/${token}`);
    });
  return (
    <House at="/">
      <Typography variant="answer">
        {shares.length === 0
          ? `Nobody else sees ${build.name}.`
          : `${counted(shares.length, 'link')} ${shares.length === 1 ? 'shows' : 'show'} ${build.name} to whoever has ${shares.length === 1 ? 'it' : 'one'}.`}
      </Typography>
      <Typography component="h2" variant="label" sx={{ mt: 2.5 }}>
        Show it by a link
      </Typography>
      <Typography component="p" sx={{ maxWidth: 720 }}>
        They look, and change nothing. They see the car as it is at that moment: every revision, its parts,
        runs and prints, and what you wrote about them. Beside it:
      </Typography>
      {SHOWABLE.map((one) => (
        <Row key={one} as="label" sx={{ gap: 0.75 }}>
          <Tick
            checked={shows[one]}
            onChange={({ target }) => setShows({ ...shows, [one]: target.checked })}
          />
          {SHOWABLE_WORDS[one]}
        </Row>
      ))}
      <Row sx={{ mt: 1 }}>
        <Select
          aria-label="How long the link is good"
          value={days === undefined ? '' : String(days)}
          onChange={({ target }) => setDays(target.value === '' ? undefined : Number(target.value))}
        >
          <option value="">until it is taken back</option>
          {GOOD_FOR_DAYS.map((one) => (
            <option key={one} value={one}>
              for {counted(one, 'day')}
            </option>
          ))}
        </Select>
        <Button variant="contained" onClick={() => void make()}>
          Make a link
        </Button>
      </Row>
      <Typography component="p" color="textSecondary" sx={{ mt: 1, maxWidth: 720 }}>
        Never shown: your other builds, who is in the workshop, what of the library this car does not use, and
        the logs of sensors. Whoever sees it may copy it into a workshop of their own, and keeps the copy when
        you take the link back.
      </Typography>
      {link ? (
        <LinkOnce
          id="share-link"
          link={link}
          words="Send this link to whom you like. It is shown this once; make another when it is lost."
        />
      ) : null}
      <Problem>{problem}</Problem>
      {shares.length > 0 ? (
        <>
          <Typography component="h2" variant="label" sx={{ mt: 2.5 }}>
            Open links
          </Typography>
          <List dense aria-label="Open links">
            {shares.map(({ id, shows: shown, createdAt, expiresAt }) => (
              <ListItem key={id} disableGutters>
                <span>
                  made <When at={createdAt} time />, {showsWords(shown)}{' '}
                  <Typography component="span" color="textSecondary">
                    {expiresAt ? (
                      <>
                        good until <When at={expiresAt} time />
                      </>
                    ) : (
                      'good until you take it back'
                    )}
                  </Typography>
                </span>
                <Button
                  variant="text"
                  onClick={() =>
                    void act(async () => {
                      await callApi('DELETE', `/api/shares/${id}`);
                      setLink(undefined);
                    })
                  }
                >
                  take back
                </Button>
              </ListItem>
            ))}
          </List>
        </>
      ) : null}
      {build.origin ? (
        <Note sx={{ mt: 2, maxWidth: 720 }}>
          It is a copy itself: whoever made {build.origin.name} may want to be asked first.
        </Note>
      ) : null}
    </House>
  );
}
