'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import Button from '@mui/material/Button';
import { type ReactNode, useMemo, useState } from 'react';
import { checksOnRecord } from '@/core/verdict/record';
import { printerTimesOfBuild } from '@/core/worked/print/printerTimes';
import { buildSheet } from '@/words/report/buildSheet';
import { REPORT_KINDS, REPORT_NAMES, type ReportKind } from '@/words/report/definition';
import { reportAsMarkdown } from '@/words/report/markdown';
import { testReport } from '@/words/report/testReport';
import { useReader } from '@/ui/reader';
import { ApiProblem, callApi, heldOfPage, sentenceOf } from '../api';
import { useBuild, useBuildChecks } from '../session/BuildContext';
import { handOver } from '../session/handOver';
import { useMeasured } from '../session/useMeasured';
import { ReportPage } from './ReportPage';
import { Readings } from '../frame/Guarded';

/** The build sheet and the test report: read here, taken along as PDF or Markdown. */
export function ReportSide({ tabs }: { tabs: ReactNode }) {
  const { build, revision, revisions, runs, failures, prints, copies, finishedPrints, session } = useBuild();
  const all = useBuildChecks();
  const { document } = useMeasured();
  const { reader } = useReader();
  const [kind, setKind] = useState<ReportKind>('build');
  const [busy, setBusy] = useState<'pdf' | 'markdown'>();
  const [problem, setProblem] = useState<string>();
  const report = useMemo(() => {
    const checks = all.filter(({ segment }) => segment !== 'learn' && segment !== 'field');
    if (kind === 'build')
      return buildSheet(
        { build, revision, document, checks, times: printerTimesOfBuild(prints, finishedPrints) },
        reader,
      );
    const record = {
      document,
      revisionId: revision.id,
      revisions: [...revisions],
      runs: [...runs],
      failures: [...failures],
      prints: [...prints],
      copies: [...copies],
    };
    return testReport(
      {
        ...record,
        build,
        revision: { ...revision, document },
        checks: [...checks, ...checksOnRecord(record)],
      },
      reader,
    );
  }, [
    kind,
    build,
    revision,
    revisions,
    runs,
    failures,
    prints,
    copies,
    finishedPrints,
    all,
    document,
    reader,
  ]);
  const name = `${build.name}-${revision.letter}-${REPORT_NAMES[kind]}`
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-');
  const take = async (as: 'pdf' | 'markdown', make: () => Promise<void>) => {
    setBusy(as);
    setProblem(undefined);
    try {
      await make();
    } catch (error) {
      setProblem(`Not made: ${sentenceOf(error)}`);
    } finally {
      setBusy(undefined);
    }
  };
  const pdf = () =>
    take('pdf', async () => {
      await session.flush();
      handOver(
        `${name}.pdf`,
        'application/pdf',
        await bytesOf(`/api/revisions/${revision.id}/report?kind=${kind}`),
      );
    });
  const markdown = () =>
    take('markdown', async () => {
      const { text, pictures, photos } = reportAsMarkdown(report);
      const kept = await Promise.all(
        photos.map(
          async ({ path, hash }) =>
            [path, await bytesOf(heldOfPage('files', hash)).catch(() => undefined)] as const,
        ),
      );
      const { strToU8, zipSync } = await import('fflate');
      const files = {
        [`${name}.md`]: strToU8(text),
        ...Object.fromEntries(pictures.map(({ path, svg }) => [path, strToU8(svg)])),
        ...Object.fromEntries(kept.filter(([, content]) => content !== undefined)),
      } as Record<string, Uint8Array>;
      handOver(`${name}.zip`, 'application/zip', new Uint8Array(zipSync(files)));
    });
  return (
    <main>
      <Readings>
        {tabs}
        <Row className={frameCss.noprint} sx={{ m: '4px 0 14px' }}>
          <Toggles label="Which paper">
            {REPORT_KINDS.map((one) => (
              <Toggle key={one} pressed={kind === one} onPress={() => setKind(one)}>
                {REPORT_NAMES[one]}
              </Toggle>
            ))}
          </Toggles>
          <Button variant="contained" disabled={busy !== undefined} onClick={() => void pdf()}>
            {busy === 'pdf' ? 'Being made' : 'PDF'}
          </Button>
          <Button
            disabled={busy !== undefined}
            title="A .zip: the text and its pictures beside it"
            onClick={() => void markdown()}
          >
            {busy === 'markdown' ? 'Being packed' : 'Markdown with pictures'}
          </Button>
          {problem ? (
            <Typography component="span" color="error" role="alert">
              {problem}
            </Typography>
          ) : null}
        </Row>
        <ReportPage report={report} />
      </Readings>
    </main>
  );
}

async function bytesOf(path: string): Promise<Uint8Array<ArrayBuffer>> {
  const response = await fetch(path).catch(() => undefined);
  if (response?.ok) return new Uint8Array(await response.arrayBuffer());
  return callApi('GET', path).then(() => {
    throw new ApiProblem(0, 'internal', { message: 'It came back empty.' }, undefined);
  });
}
