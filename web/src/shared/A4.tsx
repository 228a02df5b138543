/** How the printer is told to lay the page: of one size, with the margins that a sheet reckons with. */
export function A4({ lies }: { lies: 'across' | 'upright' }) {
  return (
    <style>{`@page { size: A4 ${lies === 'across' ? 'landscape' : 'portrait'}; margin: 8mm 12mm }`}</style>
  )
}
