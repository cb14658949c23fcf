import type { Metadata } from 'next';
import { Tank } from '@/places/tank/Tank';

export const metadata: Metadata = { title: 'Tank · Mazurka' };

export default function TankPage() {
  return <Tank firstPicture="/bench/first-picture.json" />;
}
