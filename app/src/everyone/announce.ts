let place: HTMLElement | null = null;

/** Says something to those who listen: what was found, mended, moved, put in the logbook. Politely, the last word wins. */
export function announce(text: string): void {
  if (!place) {
    place = document.createElement('div');
    place.className = 'listened';
    place.setAttribute('role', 'status');
    place.dataset.testid = 'announced';
    document.body.append(place);
  }
  // The same words said again are another saying.
  place.textContent = place.textContent === text ? `${text} ` : text;
}
