import { pictureAtFirst } from '@/desk/picture-of';
import { FIRST_LURE } from '@/demo/first-lure';

export const dynamic = 'force-static';

/** The picture of the lure a newcomer sees, painted before the app is there. */
export function GET(): Response {
  return Response.json(pictureAtFirst(FIRST_LURE));
}
