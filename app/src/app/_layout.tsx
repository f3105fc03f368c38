import { useFonts } from 'expo-font';
import { Stack } from 'expo-router';
import { useEffect, useState } from 'react';
import { Provider } from 'react-redux';
import { ThemeProvider } from '../components/ui/elements';
import { ELEMENTS_THEME } from '../components/ui/elementsTheme';
import { ShopGate } from '../shop/ShopGate';
import { saveOnLeaving } from '../store/autosave';
import { makeStore } from '../store/store';
import { FONT_FILES } from '../theme/fonts';

export default function Layout() {
  const [store] = useState(makeStore);
  const [ready] = useFonts(FONT_FILES);
  useEffect(() => saveOnLeaving(store.getState), [store]);
  if (!ready) return null;
  return (
    <Provider store={store}>
      <ThemeProvider theme={ELEMENTS_THEME}>
        <ShopGate>
          <Stack screenOptions={{ headerShown: false, animation: 'none', title: 'Zealous Thimble' }} />
        </ShopGate>
      </ThemeProvider>
    </Provider>
  );
}
