import '../store/jitless';
import { useFonts } from 'expo-font';
import { Stack } from 'expo-router';
import { useEffect, useState } from 'react';
import { Provider } from 'react-redux';
import { ThemeProvider } from '../components/ui/elements';
import { elementsTheme } from '../components/ui/elementsTheme';
import { WithKeypad } from '../components/ui/Keypad';
import { Skip } from '../everyone/Skip';
import { useEveryone } from '../everyone/useEveryone';
import { NewerAppBar } from '../shop/NewerAppBar';
import { ShopGate } from '../shop/ShopGate';
import { Waiting } from '../shop/Waiting';
import { saveOnLeaving } from '../store/autosave';
import { followChanges } from '../store/changes';
import { openedStore } from '../store/openedStore';
import { FONT_FILES } from '../theme/fonts';
import { usePalette } from '../theme/palette';

export default function Layout() {
  const [{ store, keepLast }] = useState(openedStore);
  const palette = usePalette();
  useFonts(FONT_FILES);
  useEveryone();
  useEffect(() => saveOnLeaving(store.getState, keepLast), [store, keepLast]);
  useEffect(() => followChanges(store), [store]);
  // What was seen before any script gives way to the app.
  useEffect(() => globalThis.document?.getElementById('frame')?.remove(), []);
  return (
    <Provider store={store}>
      <ThemeProvider theme={elementsTheme(palette)}>
        <Skip />
        <NewerAppBar />
        <Waiting />
        <ShopGate>
          <WithKeypad>
            <Stack screenOptions={{ headerShown: false, animation: 'none', title: 'Zealous Thimble' }} />
          </WithKeypad>
        </ShopGate>
      </ThemeProvider>
    </Provider>
  );
}
