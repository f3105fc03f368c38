import { EventEmitter } from 'node:events';

/** Something that was changed, for those who have it open: which, and which device did it, where that is known. */
export interface ChangeTold {
  noun: 'ticket' | 'shelf' | 'rules' | 'logbook' | 'orders' | 'customers' | 'day' | 'all';
  id: string | null;
  /** The count of its saves, where it has one. */
  rev: number | null;
  device: string | null;
}

/** Tells what was changed to all who listen. */
export class Changes {
  private readonly emitter = new EventEmitter().setMaxListeners(0);

  tell(change: ChangeTold): void {
    this.emitter.emit('change', change);
  }

  /** Returns what ends the listening. */
  listen(hear: (change: ChangeTold) => void): () => void {
    this.emitter.on('change', hear);
    return () => this.emitter.off('change', hear);
  }

  /** A device is answered no more: what it listens to ends. */
  revoke(deviceId: string): void {
    this.emitter.emit('revoked', deviceId);
  }

  /** Returns what ends the waiting. */
  onRevoked(deviceId: string | null, end: () => void): () => void {
    const hear = (id: string) => {
      if (id === deviceId) end();
    };
    this.emitter.on('revoked', hear);
    return () => this.emitter.off('revoked', hear);
  }

  get listeners(): number {
    return this.emitter.listenerCount('change');
  }
}
