import { redirect } from 'next/navigation';

/** The Bench is where a lure stands; it is the first and, so far, only place. */
export default function Home() {
  redirect('/bench');
}
