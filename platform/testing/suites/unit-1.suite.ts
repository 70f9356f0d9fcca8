import { together } from "../together";

together();
