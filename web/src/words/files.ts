import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/files.json', { eager: true, import: 'default' }))
