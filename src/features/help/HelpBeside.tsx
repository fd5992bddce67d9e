'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import { showHelp, useShownHelp, type HelpTopic } from './shownHelp';

const HelpPanel = dynamic(async () => (await import('./HelpPanel')).HelpPanel);

/** The help beside a page, where it is wished; it follows from page to page. */
export function HelpBeside({ page }: { page: HelpTopic['page'] }) {
  const topic = useShownHelp();
  const follows = topic !== undefined && topic.page !== 'terms' && topic.page !== 'keys';
  useEffect(() => {
    if (follows && topic.page !== page && topic.page !== 'start') showHelp({ page });
  }, [follows, topic, page]);
  return topic ? <HelpPanel topic={topic} page={page} /> : null;
}
