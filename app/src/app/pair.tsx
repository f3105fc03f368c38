import { Redirect } from 'expo-router';

/** The page that a pairing code leads to: whoever is let through to it is paired already. */
export default function Paired() {
  return <Redirect href="/" />;
}
