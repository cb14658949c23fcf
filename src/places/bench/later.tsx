'use client';

/**
 * What the Bench shows around the drawing. None of it is needed for the drawing to stand, so each loads once that is
 * painted; until then its place is kept at its usual size.
 */
import dynamic from 'next/dynamic';
import ChevronDown from 'lucide-react/icons/chevron-down';
import { Button } from '@/ui/Button';

function unpressed(label: string) {
  return function Unpressed() {
    return (
      <Button disabled aria-label={label}>
        {label} <ChevronDown aria-hidden size={18} />
      </Button>
    );
  };
}

export const LuresUnpressed = unpressed('Lures');
export const FileUnpressed = unpressed('File');

export const LureMenu = dynamic(() => import('./LureMenu').then((room) => room.LureMenu), {
  ssr: false,
  loading: LuresUnpressed,
});
export const FileMenu = dynamic(() => import('./FileMenu').then((room) => room.FileMenu), {
  ssr: false,
  loading: FileUnpressed,
});
export const SpinReadouts = dynamic(() => import('./SpinReadouts').then((room) => room.SpinReadouts), { ssr: false });
export const RideSheet = dynamic(() => import('./RideSheet').then((room) => room.RideSheet), { ssr: false });
export const BeatReadouts = dynamic(() => import('./SpinReadouts').then((room) => room.BeatReadouts), { ssr: false });
export const StringSection = dynamic(() => import('./StringSection').then((room) => room.StringSection), {
  ssr: false,
});
export const RetrievePanel = dynamic(() => import('./RetrievePanel').then((room) => room.RetrievePanel), {
  ssr: false,
});
export const AboutLure = dynamic(() => import('./AboutLure').then((room) => room.AboutLure), { ssr: false });
export const PartPicker = dynamic(() => import('./PartPicker').then((room) => room.PartPicker), { ssr: false });
export const OwnPartsSheet = dynamic(() => import('./OwnPartsSheet').then((room) => room.OwnPartsSheet), {
  ssr: false,
});
export const RulesSheet = dynamic(() => import('./RulesSheet').then((room) => room.RulesSheet), { ssr: false });
export const Notices = dynamic(() => import('./Notices').then((room) => room.Notices), { ssr: false });
export const LuresSheet = dynamic(() => import('./LuresSheet').then((room) => room.LuresSheet), { ssr: false });
export const NewLureSheet = dynamic(() => import('./NewLureSheet').then((room) => room.NewLureSheet), { ssr: false });
export const TrueSizeSheet = dynamic(() => import('@/ui/TrueSizeSheet').then((room) => room.TrueSizeSheet), {
  ssr: false,
});
export const CompareSheet = dynamic(() => import('./CompareSheet').then((room) => room.CompareSheet), { ssr: false });
export const BendHandles = dynamic(() => import('./BendHandles').then((room) => room.BendHandles), { ssr: false });
