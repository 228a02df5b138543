import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/docket.json', { eager: true, import: 'default' }))
