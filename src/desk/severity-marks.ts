/** Shape and colours of a finding's severity; its word is in the words. */
import Check from 'lucide-react/icons/check';
import OctagonX from 'lucide-react/icons/octagon-x';
import TriangleAlert from 'lucide-react/icons/triangle-alert';

export const SEVERITY_MARKS = {
  fault: { icon: OctagonX, look: 'border-fault bg-fault-soft', word: 'text-fault' },
  caution: { icon: TriangleAlert, look: 'border-caution bg-caution-soft', word: 'text-caution' },
  good: { icon: Check, look: 'border-transparent', word: 'text-good' },
} as const;
