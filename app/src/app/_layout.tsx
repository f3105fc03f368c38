import { useFonts } from 'expo-font';
import { Stack } from 'expo-router';
import { useEffect, useState } from 'react';
import { Provider } from 'react-redux';
import { ThemeProvider } from '../components/ui/elements';
import { ELEMENTS_THEME } from '../components/ui/elementsTheme';
import { rulesApi } from '../services/rulesApi';
import { shelfApi } from '../services/shelfApi';
import { ShopGate } from '../shop/ShopGate';
import { saveOnLeaving } from '../store/autosave';
import { makeStore } from '../store/store';
import { FONT_FILES } from '../theme/fonts';

/** The store, with the shop on its way before anything is drawn. */
function openedStore() {
  const store = makeStore();
  void store.dispatch(shelfApi.endpoints.shelf.initiate());
  void store.dispatch(rulesApi.endpoints.rules.initiate());
  return store;
}

export default function Layout() {
  const [store] = useState(openedStore);
  useFonts(FONT_FILES);
  useEffect(() => saveOnLeaving(store.getState), [store]);
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
