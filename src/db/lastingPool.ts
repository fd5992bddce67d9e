import { Pool, type PoolClient } from 'pg';

type Taken = (
  error: Error | undefined,
  client: PoolClient | undefined,
  release: (error?: Error | boolean) => void,
) => void;

/**
 * A pool that outlives its database. A connection that breaks while it is at work goes back at once, and is not used again:
 * the query layer gives none back whose transaction could not even begin, and ten such would be all that there are.
 */
export class LastingPool extends Pool {
  override connect(): Promise<PoolClient>;
  override connect(taken: Taken): void;
  override connect(taken?: Taken): Promise<PoolClient> | void {
    return taken ? super.connect(taken) : super.connect().then(givenBackOnce);
  }
}

function givenBackOnce(client: PoolClient): PoolClient {
  const giveBack = client.release.bind(client);
  const broken = () => client.release(true);
  let isBack = false;
  client.release = (error) => {
    if (isBack) return;
    isBack = true;
    client.off('error', broken);
    giveBack(error);
  };
  return client.once('error', broken);
}
