#version 330 core
// From the depths of a picture twice as large: how bright each pixel is, dark in hollows, and how much of an outline.
in vec2 at;
uniform sampler2D depth;
uniform vec2 depths;   // mm, of the nearest and the farthest that is drawn
uniform float spread;  // mm across a pixel of this picture, for each mm of distance
out vec4 colour;
ivec2 middle;
float raw(ivec2 away) {
  return texelFetch(depth, clamp(middle + away, ivec2(0), textureSize(depth, 0) - 1), 0).r;
}
float distanceOf(float d) { return depths.x * depths.y / (depths.y - d * (depths.y - depths.x)); }
void main() {
  middle = ivec2(gl_FragCoord.xy) * 2;
  float here = raw(ivec2(0)), z = distanceOf(here);
  // Raw depths are even over a plane, however it lies: what is uneven is an edge, or a hollow.
  float mm = z * z * (depths.y - depths.x) / (depths.x * depths.y);
  float bend = max(abs(raw(ivec2(2, 0)) + raw(ivec2(-2, 0)) - 2.0 * here),
                   abs(raw(ivec2(0, 2)) + raw(ivec2(0, -2)) - 2.0 * here)) * mm;
  float pixel = spread * z;
  // Where depth runs away steeply, so do small steps on it: stairs seen along their treads have no outlines.
  float steep = max(abs(raw(ivec2(6, 0)) - raw(ivec2(-6, 0))), abs(raw(ivec2(0, 6)) - raw(ivec2(0, -6)))) * mm / 6.0;
  float edge = smoothstep(2.5 * (pixel + steep), 9.0 * pixel + 2.5 * steep, bend);
  float hollow = 0.0;
  const ivec2 ways[7] = ivec2[7](ivec2(7, 2), ivec2(-2, 7), ivec2(9, 12), ivec2(-12, 9), ivec2(23, 3), ivec2(-9, 22),
                                 ivec2(17, -17));
  // Each of four neighbouring pixels looks along ways of its own, or a thin branch would cast as many stripes; who lays
  // the shade takes the mean of the four.
  ivec2 place = ivec2(gl_FragCoord.xy) & 1;
  float turn = float(place.x * 2 + place.y) * 0.3927;
  mat2 turned = mat2(cos(turn), sin(turn), -sin(turn), cos(turn));
  for (int k = 0; k < 7; ++k) {
    ivec2 way = ivec2(round(turned * vec2(ways[k])));
    float reach = length(vec2(way)) * 0.5 * pixel;
    float a = raw(way), b = raw(-way);
    float nearer = (here - (a + b) * 0.5) * mm / reach;
    // What lies far before or behind has nothing to do with this place.
    float apart = max(abs(distanceOf(a) - z), abs(distanceOf(b) - z)) / reach;
    if (here < 1.0) hollow += clamp(nearer, 0.0, 0.8) * (1.0 - smoothstep(1.2, 3.2, apart));
  }
  colour = vec4(1.0 - 0.2 * min(hollow, 2.0), edge, 0.0, 1.0);
}
