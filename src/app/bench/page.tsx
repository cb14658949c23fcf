import type { Metadata } from 'next';
import { Bench } from '@/places/bench/Bench';

export const metadata: Metadata = { title: 'Bench · Mazurka' };

export default function BenchPage() {
  return <Bench firstPicture="/bench/first-picture.json" />;
}
