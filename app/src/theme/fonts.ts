import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { ZillaSlab_600SemiBold } from '@expo-google-fonts/zilla-slab/600SemiBold';

export const FONTS = {
  plain: 'Bench',
  medium: 'Bench-SemiBold',
  bold: 'Bench-Bold',
  title: 'Title',
} as const;

/** The two typefaces, shipped with the app. */
export const FONT_FILES = {
  [FONTS.plain]: AtkinsonHyperlegibleNext_400Regular,
  [FONTS.medium]: AtkinsonHyperlegibleNext_600SemiBold,
  [FONTS.bold]: AtkinsonHyperlegibleNext_700Bold,
  [FONTS.title]: ZillaSlab_600SemiBold,
};
