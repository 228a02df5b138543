/** Hair, ears, neck and shoulders: plain thin lines that fit any age, sex and skin. */
export function Backdrop() {
  return (
    <g fill="none" stroke="var(--edge)" strokeWidth="1.3" strokeLinecap="round">
      <path d="M97 210C82 150 100 76 160 68C190 60 232 60 262 68C320 78 338 150 323 210" />
      <path d="M112 150C128 116 150 100 176 96M308 150C292 116 270 100 244 96M146 84C176 74 244 74 274 84" />
      <path d="M100 208C88 202 82 214 85 232C87 250 95 262 104 260M320 208C332 202 338 214 335 232C333 250 325 262 316 260" />
      <path d="M103 214C103 262 118 314 152 360C172 388 190 401 210 401C230 401 248 388 268 360C302 314 317 262 317 214" />
      <path d="M156 376C157 404 152 426 138 446C112 456 84 462 62 476M264 376C263 404 268 426 282 446C308 456 336 462 358 476" />
    </g>
  )
}

/** Eyes, brows, nostrils and the line of the mouth. */
export function Features() {
  const eye = (
    <g fill="none" stroke="var(--ink2)" strokeLinecap="round">
      <path d="M124 206C134 196 160 195 172 207" strokeWidth="1.8" />
      <path d="M126 207C138 213 160 213 171 207" strokeWidth="1" />
      <circle cx="148" cy="205" r="4.5" fill="var(--ink2)" stroke="none" />
      <path d="M118 182C134 173 158 173 176 180" strokeWidth="1.6" />
    </g>
  )
  return (
    <g>
      {eye}
      <g transform="translate(420 0) scale(-1 1)">{eye}</g>
      <g fill="none" stroke="var(--ink2)" strokeLinecap="round">
        <path d="M176 330C194 333 202 331 210 333C218 331 226 333 244 330" strokeWidth="1.5" />
        <path d="M194 282q7 4 12 0M226 282q-7 4 -12 0" strokeWidth="1.2" />
      </g>
    </g>
  )
}
