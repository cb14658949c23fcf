import type { Metadata } from 'next';
import { Make } from '@/places/make/Make';

export const metadata: Metadata = { title: 'Make · Mazurka' };

export default function MakePage() {
  return <Make />;
}
