import { createServer } from 'node:net';
import { Sentence } from './say.mjs';

const tryPort = (port, host) =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(port, host, () => {
      const { port: got } = server.address();
      server.close(() => resolve(got));
    });
  });

/** A port that nobody listens on. */
export const freePort = (host = '127.0.0.1') => tryPort(0, host);

/** Says in one sentence when a port is taken or not allowed. */
export async function requirePort(port, host, what, variable) {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Sentence(`${variable} must be a whole number from 1 to 65535.`);
  try {
    await tryPort(port, host);
  } catch (error) {
    if (error.code === 'EADDRINUSE')
      throw new Sentence(
        `Port ${port} for ${what} is in use. Stop what listens there, or choose another: ${variable}=${port + 1} npm run demo`,
      );
    if (error.code === 'EACCES')
      throw new Sentence(
        `Port ${port} for ${what} needs a privilege that you do not have. Choose one over 1023: ${variable}=3117 npm run demo`,
      );
    throw new Sentence(
      `Port ${port} for ${what} cannot be opened on ${host}: ${error.code ?? error.message}.`,
    );
  }
}
