/* What the bar opens when it is asked to, fetched as one. */
export { CameBack } from './CameBack'
export { Find } from './Find'
export { Looks } from './Looks'
