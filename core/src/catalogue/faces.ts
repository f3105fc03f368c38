import type { FaceId } from '../model/ticket/lettering';

/** A typeface that comes with the program. */
export interface TypefaceEntry {
  id: FaceId;
  name: string;
  /** What it is good for. */
  what: string;
  /** Its file, as its package ships it. */
  file: string;
}

/** The typefaces, all under open licences (docs/typefaces.md). Each is called by its character. */
export const FACES: readonly TypefaceEntry[] = [
  {
    id: 'plain',
    name: 'plain',
    what: 'even strokes, clear at small sizes',
    file: '@expo-google-fonts/work-sans/600SemiBold/WorkSans_600SemiBold.ttf',
  },
  {
    id: 'slab',
    name: 'slab',
    what: 'square feet: clubs, workwear',
    file: '@expo-google-fonts/zilla-slab/700Bold/ZillaSlab_700Bold.ttf',
  },
  {
    id: 'rounded',
    name: 'rounded',
    what: 'soft ends: satin turns well round them',
    file: '@expo-google-fonts/nunito/800ExtraBold/Nunito_800ExtraBold.ttf',
  },
  {
    id: 'plump',
    name: 'plump',
    what: 'wide strokes, for pile and for names',
    file: '@expo-google-fonts/fredoka/600SemiBold/Fredoka_600SemiBold.ttf',
  },
  {
    id: 'script',
    name: 'script',
    what: 'joined letters: linen, gifts',
    file: '@expo-google-fonts/dancing-script/700Bold/DancingScript_700Bold.ttf',
  },
  {
    id: 'blackletter',
    name: 'blackletter',
    what: 'broken strokes: samplers, heirlooms',
    file: '@expo-google-fonts/unifrakturmaguntia/400Regular/UnifrakturMaguntia_400Regular.ttf',
  },
  {
    id: 'typewriter',
    name: 'typewriter',
    what: 'every letter as wide as the next: dates, numbers',
    file: '@expo-google-fonts/courier-prime/700Bold/CourierPrime_700Bold.ttf',
  },
  {
    id: 'capitals',
    name: 'capitals',
    what: 'carved capitals, small ones for the rest: monograms',
    file: '@expo-google-fonts/cinzel/700Bold/Cinzel_700Bold.ttf',
  },
  {
    id: 'children',
    name: 'children',
    what: 'lively round letters: bibs, toys',
    file: '@expo-google-fonts/grandstander/700Bold/Grandstander_700Bold.ttf',
  },
];
