import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/year.json', { eager: true, import: 'default' }))
