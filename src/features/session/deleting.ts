import { sayUndoable } from '@/ui/Snackbars';
import { callApi, sentenceOf } from '../api';

/**
 * Deletes something and offers to bring it back.
 *
 * @param address `/api/runs/…`, as the door for deleting it
 * @param gone takes it from the page
 * @param back puts it on the page again, as the workshop gives it back
 */
export async function deleteUndoably<T>(
  address: string,
  words: string,
  gone: () => void,
  back: (restored: T) => void,
): Promise<void> {
  await callApi('DELETE', address);
  gone();
  sayUndoable(words, () => restored(async () => back(await callApi<T>('POST', `${address}/restore`))));
}

/** Nothing, or why it could not be brought back. */
export async function restored(bringBack: () => Promise<void>): Promise<string | undefined> {
  try {
    await bringBack();
    return undefined;
  } catch (error) {
    return sentenceOf(error);
  }
}
