import { z } from 'zod';

// The shop's pages run no text as a script (Content-Security-Policy); zod then asks for none.
z.config({ jitless: true });
