'use client';

/**
 * What the Bench shows around the drawing. None of it is needed for the drawing to stand, so each loads once that is
 * painted; until then its place is kept at its usual size.
 */
import { latePart } from '@/ui/late-part';
import { FileUnpressed, LuresUnpressed } from '@/desk/header/HeaderRow';

export const LureMenu = latePart(() => import('@/desk/lures/LureMenu').then((room) => room.LureMenu), LuresUnpressed);
export const FileMenu = latePart(() => import('./keeping/FileMenu').then((room) => room.FileMenu), FileUnpressed);
export const RideSheet = latePart(() => import('@/desk/figures/RideSheet').then((room) => room.RideSheet));
export const SoundSheet = latePart(() => import('@/desk/sound/SoundSheet').then((room) => room.SoundSheet));
export const SoundKeeper = latePart(() => import('@/desk/sound/SoundKeeper').then((room) => room.SoundKeeper));
export const SoundMarks = latePart(() => import('@/desk/sound/SoundMarks').then((room) => room.SoundMarks));
export const FrontSheet = latePart(() => import('@/desk/stage/FrontSheet').then((room) => room.FrontSheet));
export const StringSection = latePart(() => import('./string/StringSection').then((room) => room.StringSection));
export const RetrievePanel = latePart(() => import('@/desk/retrieve/RetrievePanel').then((room) => room.RetrievePanel));
export const AboutLure = latePart(() => import('./AboutLure').then((room) => room.AboutLure));
export const PartPicker = latePart(() => import('@/desk/picker/PartPicker').then((room) => room.PartPicker));
export const OwnPartsSheet = latePart(() => import('./keeping/OwnPartsSheet').then((room) => room.OwnPartsSheet));
export const RulesSheet = latePart(() => import('./findings/RulesSheet').then((room) => room.RulesSheet));
export const LuresSheet = latePart(() => import('@/desk/lures/LuresSheet').then((room) => room.LuresSheet));
export const NewLureSheet = latePart(() => import('./keeping/NewLureSheet').then((room) => room.NewLureSheet));
export const TrueSizeSheet = latePart(() => import('@/ui/TrueSizeSheet').then((room) => room.TrueSizeSheet));
export const CompareSheet = latePart(() => import('@/desk/versions/CompareSheet').then((room) => room.CompareSheet));
export const BackupSheet = latePart(() => import('./keeping/BackupSheet').then((room) => room.BackupSheet));
