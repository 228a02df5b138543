package outfell.server.gate;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import outfell.server.problem.Problems;

/** Where the web server sends a request that failed outside every controller; asked for by hand it is no address. */
@Controller
class NothingHere implements ErrorController {
    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        if (!(status instanceof Integer code)) {
            Problems.write(response, 404, "not-found", "There is nothing at this address.");
        } else if (code < 500) {
            Problems.write(response, code, "not-understood", "This address or request cannot be understood.");
        } else {
            Problems.write(
                    response,
                    code,
                    "fault",
                    "Something in Outfell failed. What you typed is kept on this machine; try again.");
        }
    }
}
