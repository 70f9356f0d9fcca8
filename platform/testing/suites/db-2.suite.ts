import { together } from "../together";

together("db", 2, 4);
