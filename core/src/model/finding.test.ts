import { byGravity, finding } from './finding';

it('puts the gravest finding first, and equal ones in the order of work', () => {
  const found = [
    finding('mount', 'a', 'warn', ['a']),
    finding('hoop', 'b', 'note', ['b']),
    finding('piece', 'c', 'warn', ['c']),
    finding('hoop', 'd', 'stop', ['d']),
    finding('hoop', 'e', 'warn', ['e']),
    finding('hoop', 'f', 'warn', ['f']),
  ];
  expect(byGravity(found).map(({ code }) => code)).toEqual(['d', 'c', 'e', 'f', 'a', 'b']);
});
