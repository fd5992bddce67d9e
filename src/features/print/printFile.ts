import type { BuildDocument } from '@/core/car/document/document';
import type { PrintFile } from '@/workers/print.worker';
import { fileOf } from '../session/meshFiles';

/** The file of a part as the worker reads it. */
export async function printFileOf(document: BuildDocument, partId: string): Promise<PrintFile> {
  const { hash, name, unitMm, up } = document.parts.items.find(({ id }) => id === partId)!.mesh!;
  return { bytes: await fileOf(hash), name, unitMm, up };
}
