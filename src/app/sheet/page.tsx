import type { Metadata } from 'next';
import { BuildSheet } from '@/places/sheet/BuildSheet';

export const metadata: Metadata = { title: 'Build sheet · Mazurka' };

export default function SheetPage() {
  return <BuildSheet />;
}
