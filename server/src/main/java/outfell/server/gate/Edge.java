package outfell.server.gate;

import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import outfell.server.problem.Problems;

/** What the web server itself refuses, before any of ours is asked, is a problem document too and names nothing within. */
@Configuration(proxyBeanMethods = false)
class Edge {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainRefusals() {
        return factory -> factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(PlainRefusal.class.getName());
            }
        });
    }

    /** Public so that the web server can make one. */
    public static final class PlainRefusal extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, @Nullable Throwable fault) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            try {
                byte[] body = Problems.text(status, status < 500 ? "not-understood" : "fault", sentence(status))
                        .getBytes(StandardCharsets.UTF_8);
                response.setContentType("application/problem+json");
                response.setContentLength(body.length);
                response.getOutputStream().write(body);
                response.finishResponse();
            } catch (java.io.IOException gone) {
                // whoever asked is no longer there
            }
        }

        private static String sentence(int status) {
            return status < 500
                    ? "This address or request cannot be understood."
                    : "Something in Outfell failed. What you typed is kept on this machine; try again.";
        }
    }
}
