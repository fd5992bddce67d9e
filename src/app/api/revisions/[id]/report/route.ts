import Joi from 'joi';
import sharp from 'sharp';
import { USUAL_CURRENCY } from '@/core/build/brief';
import { checksOnRecord } from '@/core/checks/record';
import { overlookBuild } from '@/core/checks/evaluate';
import type { Photo } from '@/core/field/report';
import { calibrationOfBuild } from '@/core/print/log';
import { buildSheet } from '@/core/report/buildSheet';
import { flat, type Report, REPORT_KINDS, type ReportKind } from '@/core/report/definition';
import { type Images, reportAsPaper, UNREADABLE } from '@/core/report/paper';
import { testReport } from '@/core/report/testReport';
import { parse } from '@/core/schema/parse';
import { wholeBuild } from '@/db/queries/builds';
import { fileContent } from '@/db/queries/files';
import { finishedPrints } from '@/db/queries/prints';
import { revisionById } from '@/db/queries/revisions';
import { settingsOf } from '@/db/queries/workshops';
import { readerOfHeaders } from '../../../../readerOfRequest';
import { door } from '../../../door';
import { printPdf } from '../../../printPdf';

const querySchema = Joi.object<{ kind: ReportKind }>({ kind: Joi.valid(...REPORT_KINDS).required() }).required();

export const GET = door(async ({ request, db, workshopId, id }) => {
  const { kind } = parse(querySchema, Object.fromEntries(new URL(request.url).searchParams));
  const { buildId } = await revisionById(db, workshopId, id);
  const [whole, { thresholds = {} }, finished] = await Promise.all([wholeBuild(db, workshopId, buildId), settingsOf(db, workshopId), finishedPrints(db, workshopId)]);
  const revision = whole.revisions.find((one) => one.id === id)!;
  const { document } = revision;
  const reader = { ...readerOfHeaders(request.headers), currency: document.brief.currency ?? USUAL_CURRENCY };
  const checks = [...overlookBuild(document, thresholds), ...checksOnRecord({ ...whole, document, revisionId: id })];
  const calibration = calibrationOfBuild(document, whole.prints, finished)?.calibration;
  const report = kind === 'build' ? buildSheet({ ...whole, revision, document, checks, ...(calibration === undefined ? {} : { calibration }) }, reader) : testReport({ ...whole, revision, checks }, reader);
  const pdf = await printPdf(reportAsPaper(report, await imagesOf(report, (hash) => fileContent(db, workshopId, hash)), reader.units === 'imperial' ? 'LETTER' : 'A4'));
  const name = `${whole.build.name}-${revision.letter}-${kind === 'build' ? 'build-sheet' : 'test-report'}.pdf`.toLowerCase().replace(/[^a-z0-9.]+/g, '-');
  return new Response(new Uint8Array(pdf), { headers: { 'content-type': 'application/pdf', 'content-disposition': `attachment; filename="${name}"`, 'cache-control': 'no-store' } });
});

/** The photographs of a report as a PDF takes them; one that the workshop does not hold is left out. */
async function imagesOf({ blocks }: Report, read: (hash: string) => Promise<{ type: string; content: Buffer }>): Promise<Images> {
  const photos: Photo[] = flat(blocks).flatMap((block) => (block.kind === 'photos' ? block.photos : []));
  const found = await Promise.all([...new Set(photos.map(({ hash }) => hash))].map(async (hash) => {
    const kept = await read(hash).catch(() => undefined);
    if (!kept || kept.type !== 'image/jpeg') return [];
    return [[hash, (await isReadable(kept.content)) ? `data:image/jpeg;base64,${kept.content.toString('base64')}` : UNREADABLE] as const];
  }));
  return Object.fromEntries(found.flat());
}

const isReadable = (content: Buffer): Promise<boolean> => sharp(content, { failOn: 'error' }).stats().then(() => true, () => false);
