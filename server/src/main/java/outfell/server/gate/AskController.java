package outfell.server.gate;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gives up a question that was sent with its name in the header X-Ask. */
@RestController
@RequestMapping("/api/asks")
class AskController {
    private final Asks asks;

    AskController(Asks asks) {
        this.asks = asks;
    }

    @DeleteMapping("/{ask}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void giveUp(@PathVariable String ask) {
        asks.giveUp(ask);
    }
}
