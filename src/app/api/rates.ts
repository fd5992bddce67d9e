const WINDOW_MS = 60_000;
/** Clients remembered at once; a flood of names does not fill the memory. */
const MOST_CLIENTS = 10_000;

/** Counts what each client does in the present minute, in this process. */
export class Rates {
  readonly #counts = new Map<string, { since: number; count: number }>();

  constructor(
    readonly most: number,
    private readonly now: () => number = Date.now,
  ) {}

  /** Counts one more; whether the client is within its limit. */
  take(client: string): boolean {
    const now = this.now();
    const known = this.#counts.get(client);
    const present = known && now - known.since < WINDOW_MS ? known : { since: now, count: 0 };
    present.count++;
    this.#counts.delete(client);
    this.#counts.set(client, present);
    if (this.#counts.size > MOST_CLIENTS) this.#counts.delete(this.#counts.keys().next().value!);
    return present.count <= this.most;
  }
}

/** Who asks, as the server or the proxy in front of it saw the connection; the last of a list is what the nearest wrote. */
export const clientOf = (request: Request): string =>
  request.headers.get('x-forwarded-for')?.split(',').at(-1)?.trim().slice(0, 64) || 'here';
