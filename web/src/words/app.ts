import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/app.json', { eager: true, import: 'default' }))
