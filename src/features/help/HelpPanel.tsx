'use client';

import Drawer from '@mui/material/Drawer';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import Markdown from 'react-markdown';
import { IconAct } from '@/ui/controls/IconAct';
import { Problem } from '@/ui/controls/Problem';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Row } from '@/ui/layout/Row';
import helpCss from './help.module.css';
import { KeyList } from './KeyList';
import { type HelpTopic, showHelp } from './shownHelp';
import { TermList } from './TermList';

const LEADS = [
  ['page', 'This page'],
  ['terms', 'Terms'],
  ['keys', 'Keys'],
  ['start', 'First car'],
] as const;

/** The help beside a page: what the page asks and answers, the terms, the keys, and a walk for the first car. */
export function HelpPanel({ topic, page }: { topic: HelpTopic; page: HelpTopic['page'] }) {
  const panel = useRef<HTMLDivElement>(null);
  const text = usePageOfHelp(topic.page);
  useEffect(() => {
    const before = document.activeElement;
    panel.current?.querySelector<HTMLElement>('button')?.focus({ preventScroll: true });
    const leave = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && panel.current?.contains(document.activeElement)) showHelp(undefined);
    };
    document.addEventListener('keydown', leave);
    return () => {
      document.removeEventListener('keydown', leave);
      if (before instanceof HTMLElement) before.focus({ preventScroll: true });
    };
  }, []);
  return (
    <Drawer
      open
      variant="persistent"
      anchor="right"
      transitionDuration={0}
      slotProps={{
        paper: { component: 'aside', 'aria-label': 'Help', className: helpCss.paper, ref: panel } as object,
      }}
    >
      <Row sx={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}>
        <Toggles label="Part of the help">
          {LEADS.filter(([lead]) => lead !== 'start' || page !== 'start').map(([lead, words]) => (
            <Toggle
              key={lead}
              pressed={lead === 'page' ? topic.page === page : topic.page === lead}
              onPress={() => showHelp({ page: lead === 'page' ? page : lead })}
            >
              {words}
            </Toggle>
          ))}
        </Toggles>
        <IconAct icon="takeOut" label="Close the help" onClick={() => showHelp(undefined)} />
      </Row>
      {topic.page === 'keys' ? (
        <KeyList />
      ) : typeof text === 'string' ? (
        topic.page === 'terms' ? (
          <TermList key={topic.term} text={text} asked={topic.term} />
        ) : (
          <Markdown
            components={{
              h1: ({ children }) => (
                <Typography variant="answer" component="h1" className={helpCss.title}>
                  {children}
                </Typography>
              ),
              a: ({ href = '', children }) => <Link href={href}>{children}</Link>,
            }}
          >
            {text}
          </Markdown>
        )
      ) : text ? (
        <Problem>The help could not be fetched: look at the connection, and open it again.</Problem>
      ) : null}
    </Drawer>
  );
}

const fetched = new Map<string, string>();

/** The text of a page of the help; a failure where it cannot be fetched. */
function usePageOfHelp(page: HelpTopic['page']): string | { failed: true } | undefined {
  const [found, setFound] = useState<{ page: string; text: string | { failed: true } }>();
  useEffect(() => {
    if (page === 'keys' || fetched.has(page)) return;
    let current = true;
    const take = (text: string | { failed: true }) => {
      if (typeof text === 'string') fetched.set(page, text);
      if (current) setFound({ page, text });
    };
    fetch(`/help/${page}`)
      .then(async (response) => take(response.ok ? await response.text() : { failed: true }))
      .catch(() => take({ failed: true }));
    return () => {
      current = false;
    };
  }, [page]);
  return fetched.get(page) ?? (found?.page === page ? found.text : undefined);
}
