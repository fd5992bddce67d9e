import { areCookiesSecure } from './ownAddress';
import { WORKSHOP_COOKIE } from './currentWorkshop';

const YEAR_S = 31_536_000;

/** An answer after which this device works in another workshop. */
export function choosing(answer: Response, workshopId: string): Response {
  const secure = areCookiesSecure() ? '; Secure' : '';
  answer.headers.append(
    'set-cookie',
    `${WORKSHOP_COOKIE}=${workshopId}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Lax${secure}`,
  );
  return answer;
}
