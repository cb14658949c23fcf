'use client';

/**
 * What the Bench shows around the drawing. None of it is needed for the drawing to stand, so each loads once that is
 * painted; until then its place is kept at its usual size.
 */
import ChevronDown from 'lucide-react/icons/chevron-down';
import { Button } from '@/ui/Button';
import { latePart } from '@/ui/late-part';

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

export const LureMenu = latePart(() => import('./LureMenu').then((room) => room.LureMenu), LuresUnpressed);
export const FileMenu = latePart(() => import('./FileMenu').then((room) => room.FileMenu), FileUnpressed);
export const SpinReadouts = latePart(() => import('@/desk/figures/SpinReadouts').then((room) => room.SpinReadouts));
export const RideSheet = latePart(() => import('@/desk/figures/RideSheet').then((room) => room.RideSheet));
export const BeatReadouts = latePart(() => import('@/desk/figures/SpinReadouts').then((room) => room.BeatReadouts));
export const StringSection = latePart(() => import('./StringSection').then((room) => room.StringSection));
export const RetrievePanel = latePart(() => import('@/desk/retrieve/RetrievePanel').then((room) => room.RetrievePanel));
export const AboutLure = latePart(() => import('./AboutLure').then((room) => room.AboutLure));
export const PartPicker = latePart(() => import('@/desk/picker/PartPicker').then((room) => room.PartPicker));
export const OwnPartsSheet = latePart(() => import('./OwnPartsSheet').then((room) => room.OwnPartsSheet));
export const RulesSheet = latePart(() => import('./RulesSheet').then((room) => room.RulesSheet));
export const Notices = latePart(() => import('@/desk/Notices').then((room) => room.Notices));
export const LuresSheet = latePart(() => import('./LuresSheet').then((room) => room.LuresSheet));
export const NewLureSheet = latePart(() => import('./NewLureSheet').then((room) => room.NewLureSheet));
export const TrueSizeSheet = latePart(() => import('@/ui/TrueSizeSheet').then((room) => room.TrueSizeSheet));
export const CompareSheet = latePart(() => import('@/desk/versions/CompareSheet').then((room) => room.CompareSheet));
export const BackupSheet = latePart(() => import('./BackupSheet').then((room) => room.BackupSheet));
