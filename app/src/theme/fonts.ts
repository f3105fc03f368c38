export const FONTS = {
  plain: 'Bench',
  medium: 'Bench-SemiBold',
  bold: 'Bench-Bold',
  title: 'Title',
} as const;

/** The two typefaces, shipped with the app; `node scripts/fonts.mjs` makes the files. */
export const FONT_FILES = {
  [FONTS.plain]: require('../../assets/fonts/Bench.woff2'),
  [FONTS.medium]: require('../../assets/fonts/Bench-SemiBold.woff2'),
  [FONTS.bold]: require('../../assets/fonts/Bench-Bold.woff2'),
  [FONTS.title]: require('../../assets/fonts/Title.woff2'),
};
